import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { Link, NavLink, Outlet, useNavigate } from 'react-router';
import { useHistory } from '../session/history';
import { browserVersions } from '../session/versions';
import { type Notice, type Notify, NotifyContext, storeFailure, useNotify } from '../session/notices';
import { type Shortcut, makeShortcuts, ShortcutContext, useShortcuts } from '../session/shortcuts';
import { useChangeSettings } from '../session/useChanges';
import { useSettings } from '../session/useRecords';
import { useRackBell } from '../session/useRackBell';
import { useUndo } from '../session/useUndo';
import { useWorkshop } from '../session/workshop';
import { useWaiting } from '../session/useBench';
import { dismissLost, useLostDealtWith } from '../session/keepMarker';
import type { Marker } from '../session/marker';
import { localDay } from '../session/clock';
import { ISSUES, issueText } from '../words/issues';
import { Button, buttonClass } from '../ui/Button';
import { later } from '../ui/later';
import { ShellActsContext, useShellActs } from './shellActs';
import { useAtBench } from './useAtBench';
import { useInOrder } from './useInOrder';
import { useLastLook } from './useLastLook';

const useTheme = (): boolean => {
  const { theme } = useSettings();
  const [dark, setDark] = useState(false);
  useEffect(() => {
    const system = window.matchMedia('(prefers-color-scheme: dark)');
    const set = (): void => {
      const on = theme === 'dark' || (theme === 'system' && system.matches);
      document.documentElement.dataset['theme'] = on ? 'dark' : 'light';
      setDark(on);
    };
    set();
    system.addEventListener('change', set);
    return () => system.removeEventListener('change', set);
  }, [theme]);
  return dark;
};

// What is not there at first is fetched when it is wanted.
const Notices = later(async () => (await import('./Notices')).Notices);
const ShortcutSheet = later(async () => (await import('./ShortcutSheet')).ShortcutSheet);

const PLACES = [
  { to: '/', text: 'Table' },
  { to: '/rack', text: 'Rack' },
  { to: '/schedule', text: 'Schedule' },
  { to: '/orders', text: 'Orders' },
  { to: '/projects', text: 'Projects' },
  { to: '/shelf', text: 'Shelf' },
  { to: '/record', text: 'Record' },
  { to: '/file', text: 'File' },
] as const;

/** Units, light and help: on every view. */
export const ViewButtons = () => {
  const settings = useSettings();
  const change = useChangeSettings();
  const { isDark, openHelp } = useShellActs();
  return (
    <>
      <Button
        look="bare"
        onClick={() => change({ units: settings.units === 'metric' ? 'imperial' : 'metric' })}
        aria-label={`Units: ${settings.units}. Switch.`}
      >
        {settings.units === 'metric' ? 'cm · g' : 'in · oz'}
      </Button>
      <Button look="bare" onClick={() => change({ theme: isDark ? 'light' : 'dark' })}>
        {isDark ? 'Light' : 'Dark'}
      </Button>
      <Button look="bare" onClick={openHelp} aria-label="Keyboard shortcuts">
        ?
      </Button>
    </>
  );
};

/** Drawn by itself: what can be undone changes with every change, the links beside it do not. */
const HistoryButtons = () => {
  const { history } = useWorkshop();
  const { undo, redo } = useHistory(history);
  const act = useUndo();
  return (
    <>
      <Button look="bare" disabled={undo === null} onClick={act.undo} title={undo ?? ''}>
        Undo
      </Button>
      <Button look="bare" disabled={redo === null} onClick={act.redo} title={redo ?? ''}>
        Redo
      </Button>
    </>
  );
};

const Header = () => (
  <header className="no-print flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-rim bg-soap px-4 py-1">
    <NavLink to="/" className="text-xl font-bold tracking-tight">
      Jorrit
    </NavLink>
    <nav aria-label="Places" className="flex flex-wrap gap-x-1 max-md:order-last max-md:w-full">
      {PLACES.map(p => (
        <NavLink
          key={p.to}
          to={p.to}
          end={p.to === '/'}
          className="flex min-h-9 items-center border-b-2 border-transparent px-2 aria-[current=page]:border-ink aria-[current=page]:font-semibold"
        >
          {p.text}
        </NavLink>
      ))}
    </nav>
    <div className="ml-auto flex items-center gap-1 max-sm:gap-0 max-sm:*:px-2">
      <HistoryButtons />
      <ViewButtons />
    </div>
  </header>
);

/** The keys of what is shown here, heard while this page is. */
const useKeyboard = () => {
  const [shortcuts] = useState(makeShortcuts);
  useEffect(() => {
    window.addEventListener('keydown', shortcuts.onKey);
    return () => window.removeEventListener('keydown', shortcuts.onKey);
  }, [shortcuts]);
  const lists = useSyncExternalStore(shortcuts.subscribe, shortcuts.all);
  return { shortcuts, lists };
};

/** Tells when something on the rack has waited long enough. */
const RackBell = () => {
  const navigate = useNavigate();
  const open = useCallback((pieceId: string) => void navigate(`/pieces/${pieceId}/bench`), [navigate]);
  useRackBell(open);
  return null;
};

const GlobalKeys = ({ onHelp }: { readonly onHelp: () => void }) => {
  const atBench = useAtBench();
  const { undo, redo } = useUndo();
  const undoKeys: readonly Shortcut[] = [
    { keys: ['Ctrl+z'], shown: 'Ctrl+Z', does: 'undo', run: undo },
    { keys: ['Ctrl+y', 'Ctrl+Shift+z'], shown: 'Ctrl+Y', does: 'redo', run: redo },
  ];
  useShortcuts([...(atBench ? [] : undoKeys), { keys: ['?'], shown: '?', does: 'this sheet', run: onHelp }]);
  return null;
};

/** Acts that could not be kept yet: they wait, and are tried again by themselves. */
const WaitingLine = () => {
  const { outbox } = useWorkshop();
  const { why, count } = useWaiting();
  if (!why) return null;
  return (
    <p role="alert" className="flex flex-wrap items-center gap-3 border-b-2 border-wanted bg-soap px-4 py-2">
      <span className="flex-1">
        Not kept yet: {count} {count === 1 ? 'act' : 'acts'}. {issueText(why)} {ISSUES[why.code].remedy}
      </span>
      <Button onClick={outbox.tryAgain}>Try again</Button>
    </p>
  );
};

/** Told when a newer version waits; never at the bench, and never taken by itself. */
const NewVersionLine = () => {
  const standing = useSyncExternalStore(browserVersions.subscribe, browserVersions.get);
  const { tell, failed } = useNotify();
  const [isLater, setLater] = useState(false);
  if (standing.is === 'current' || isLater) return null;
  const take = (): void => {
    browserVersions
      .take()
      .then(
        taken => !taken && tell({ text: 'Close the other tabs with Jorrit first; then it is taken.' }),
        failed,
      );
  };
  return (
    <p role="status" className="flex flex-wrap items-center gap-3 border-b-2 border-now bg-soap px-4 py-1">
      <span className="flex-1">A newer version of Jorrit is here. What you entered stays as it is.</span>
      <Button onClick={take}>Use it now</Button>
      <Button look="bare" onClick={() => setLater(true)}>
        Later
      </Button>
    </p>
  );
};

/** Told when the browser has lost a workshop of the felter's own, until it is read in again or a new one is begun. */
const LostLine = ({ lost }: { readonly lost: Marker | null }) => {
  const workshop = useWorkshop();
  const isDealtWith = useLostDealtWith();
  if (!lost || isDealtWith) return null;
  const { message, cause, remedy } = ISSUES.STORE_LOST;
  return (
    <div
      role="alert"
      className="flex flex-wrap items-center gap-3 border-b-2 border-wanted bg-soap px-4 py-2"
    >
      <p className="min-w-60 flex-1">
        {message} {lost.ownAt !== null && `It was last changed on ${localDay(lost.ownAt)}. `}
        {cause} {remedy}
      </p>
      <Link to="/file" className={buttonClass('main', 'dry')}>
        Open a file
      </Link>
      <Button onClick={() => dismissLost(workshop)}>Start fresh</Button>
    </div>
  );
};

/** The strip at the top, the view below it, notices over it. `notice` concerns the whole stay and does not go away. */
export const Shell = ({
  notice: first,
  lost,
}: {
  readonly notice: Notice | null;
  readonly lost: Marker | null;
}) => {
  const dark = useTheme();
  const [notice, setNotice] = useState<Notice | null>(null);
  // Once something was told its place stays, so that it is announced.
  const [wasTold, setTold] = useState(false);
  const [help, setHelp] = useState(false);
  const { lists, shortcuts } = useKeyboard();
  const openHelp = useCallback(() => setHelp(true), []);
  const atBench = useAtBench();
  useLastLook();
  useInOrder();
  const shellActs = useMemo(() => ({ isDark: dark, openHelp }), [dark, openHelp]);
  const notify = useMemo<Notify>(() => {
    const tell = (next: Notice): void => {
      setTold(true);
      setNotice(next);
    };
    return { tell, failed: error => tell(storeFailure(error)) };
  }, []);
  return (
    <NotifyContext value={notify}>
      <ShortcutContext value={shortcuts}>
        <ShellActsContext value={shellActs}>
          <div className="flex h-full flex-col">
            <a href="#view" className="sr-only focus:not-sr-only">
              To the view
            </a>
            {!atBench && <Header />}
            {first && (
              <p role="alert" className="border-b-2 border-wanted bg-soap px-4 py-2">
                {first.text}
              </p>
            )}
            <LostLine lost={lost} />
            <WaitingLine />
            {!atBench && <NewVersionLine />}
            <main id="view" className="flex min-h-0 flex-1 flex-col">
              <Outlet />
            </main>
          </div>
          <GlobalKeys onHelp={openHelp} />
          <RackBell />
          {help && <ShortcutSheet open onOpenChange={setHelp} lists={lists} />}
          {wasTold && <Notices notice={notice} onGone={() => setNotice(null)} isAbove={atBench} />}
        </ShellActsContext>
      </ShortcutContext>
    </NotifyContext>
  );
};
