// Runs before anything else is there: the table as it was last seen, whose links lead on already. Then the application is begun, and what is
// true now takes its place.
import { LAST_LOOK, nodeOf, readLastLook } from '../ui/lastLook';
import { onceDrawn } from '../ui/onceDrawn';

/** What a view has that is open, or a word on why none is. */
const OPEN = 'h1, h2, [role=alert]';

const kept = (): string | null => {
  try {
    return window.localStorage.getItem(LAST_LOOK);
  } catch {
    // Storage is denied: the application says so itself.
    return null;
  }
};

/** Shows it, where there is one. */
const showLastLook = (root: HTMLElement): boolean => {
  const look = readLastLook(kept());
  if (!look) return false;
  const place = document.createElement('div');
  place.id = 'last-look';
  place.append(...look.shown.map(s => nodeOf(s)));
  document.documentElement.dataset['theme'] = look.theme;
  root.before(place);
  root.hidden = true;
  let isDown = false;
  const given = new AbortController();
  const giveWay = (): void => {
    if (isDown || given.signal.aborted || !root.querySelector(OPEN)) return;
    given.abort();
    observer.disconnect();
    const at = document.activeElement?.getAttribute('href');
    place.remove();
    root.hidden = false;
    // Who had come to a link by the keyboard is at it still.
    if (at) root.querySelector<HTMLElement>(`a[href="${CSS.escape(at)}"]`)?.focus();
  };
  const observer = new MutationObserver(giveWay);
  observer.observe(root, { childList: true, subtree: true });
  // A tap that has begun ends on what it began on.
  place.addEventListener('pointerdown', () => {
    isDown = true;
  });
  const up = (): void => {
    isDown = false;
    setTimeout(giveWay);
  };
  for (const end of ['pointerup', 'pointercancel'])
    window.addEventListener(end, up, { signal: given.signal });
  return true;
};

const main = document.currentScript?.dataset['then'];
const beginApplication = (): void => {
  if (!main) return;
  const script = document.createElement('script');
  script.type = 'module';
  script.crossOrigin = '';
  script.src = main;
  document.head.append(script);
};

/** Whatever was kept, and however it was damaged: the application is begun. */
const isShown = (): boolean => {
  const place = document.querySelector<HTMLElement>('#root');
  try {
    return place !== null && window.location.pathname === '/' && showLastLook(place);
  } catch {
    return false;
  }
};
if (isShown()) onceDrawn(beginApplication);
else beginApplication();
