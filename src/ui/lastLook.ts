/** Something that was shown: words, or an element with its attributes and what is in it. */
export type Shown =
  | string
  | readonly [tag: string, attributes: Readonly<Record<string, string>>, inside: readonly Shown[]];

/** How a view looked when it was last seen, to be shown again before the workshop is open. */
export interface LastLook {
  /** Light or dark, as it was. */
  readonly theme: string;
  readonly shown: readonly Shown[];
}

/** The name it is kept under, in the browser's local storage. */
export const LAST_LOOK = 'jorrit.last-look';

const SVG = 'http://www.w3.org/2000/svg';
/** What is told is told again when it is true again. */
const TOLD = '[role=alert], [role=status], script, style';

/**
 * What an element shows, without what is told in it; its buttons wait, for nobody answers them yet.
 * @param isSeen false for what need not be there at once, with all that is in it
 */
export const shownOf = (element: Element, isSeen: (inside: Element) => boolean = () => true): Shown => {
  const attributes = Object.fromEntries([...element.attributes].map(a => [a.name, a.value]));
  const inside = [...element.childNodes].flatMap((node): readonly Shown[] => {
    if (node instanceof Element) return node.matches(TOLD) || !isSeen(node) ? [] : [shownOf(node, isSeen)];
    return node.nodeType === Node.TEXT_NODE && node.nodeValue ? [node.nodeValue] : [];
  });
  if (element.localName === 'button') attributes['disabled'] = '';
  return [element.localName, attributes, inside];
};

/** The same again, as nodes of this page. An attribute that is no name of one is left out. */
export const nodeOf = (shown: Shown, isSvg = false): Node => {
  if (typeof shown === 'string') return document.createTextNode(shown);
  const [tag, attributes, inside] = shown;
  const drawn = isSvg || tag === 'svg';
  const element = drawn ? document.createElementNS(SVG, tag) : document.createElement(tag);
  for (const [name, value] of Object.entries(attributes))
    // The policy takes no style that is written in the page's text; set like this it is a script's own.
    if (name === 'style') element.style.cssText = value;
    // Nothing that was kept may ever run.
    else if (!name.startsWith('on')) element.setAttribute(name, value);
  element.append(...inside.map(s => nodeOf(s, drawn)));
  return element;
};

const isShown = (value: unknown): value is Shown => {
  if (typeof value === 'string') return true;
  if (!Array.isArray(value) || value.length !== 3) return false;
  const [tag, attributes, inside]: readonly unknown[] = value;
  return (
    typeof tag === 'string' &&
    /^(?!script$|style$|iframe$|object$|embed$)[a-z][a-z0-9-]*$/i.test(tag) &&
    typeof attributes === 'object' &&
    attributes !== null &&
    Object.entries(attributes).every(
      ([name, v]) => /^[a-z][a-z0-9:_-]*$/i.test(name) && typeof v === 'string',
    ) &&
    Array.isArray(inside) &&
    inside.every(isShown)
  );
};

/** Reads what was kept; null where nothing was, or it is damaged. */
export const readLastLook = (text: string | null): LastLook | null => {
  try {
    const read: unknown = JSON.parse(text ?? 'null');
    if (typeof read !== 'object' || read === null || !('theme' in read) || !('shown' in read)) return null;
    const { theme, shown } = read;
    if (typeof theme !== 'string' || !Array.isArray(shown) || !shown.every(isShown)) return null;
    return { theme, shown };
  } catch {
    return null;
  }
};
