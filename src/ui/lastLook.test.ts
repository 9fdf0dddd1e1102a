// @vitest-environment happy-dom
import { describe, expect, it } from 'vitest';
import { nodeOf, readLastLook, shownOf } from './lastLook';

const element = (html: string): Element => {
  const place = document.createElement('div');
  place.innerHTML = html;
  const [first] = place.children;
  if (!first) throw new Error('Nothing there.');
  return first;
};
const again = (html: string): string => {
  const kept = JSON.stringify({ theme: 'dark', shown: [shownOf(element(html))] });
  const place = document.createElement('div');
  place.append(...(readLastLook(kept)?.shown ?? []).map(s => nodeOf(s)));
  return place.innerHTML;
};

describe('how a view was last seen', () => {
  it('is the same again: words, links, drawings and their places', () => {
    const html =
      '<section aria-label="On the bench"><a href="/pieces/1/bench" class="p-1">Kelp &lt; cosy</a><svg width="20"><g><path d="M1 9V1"></path></g></svg></section>';
    expect(again(html)).toBe(element(html).outerHTML);
  });

  it('a drawing is one again', () => {
    const node = nodeOf(shownOf(element('<svg><path d="M0 0"></path></svg>')));
    expect(node.firstChild instanceof SVGElement).toBe(true);
  });

  it('buttons wait, for nobody answers them yet; what was told is not told again', () => {
    const html =
      '<div><button>Undo</button><p role="status">Taken back.</p><p role="alert">Room is short.</p></div>';
    expect(again(html)).toBe('<div><button disabled="">Undo</button></div>');
  });

  it('a style is set by the script, as the policy asks', () => {
    const node = nodeOf(shownOf(element('<p style="color: red">Red</p>')));
    expect(node instanceof HTMLElement && node.style.color).toBe('red');
  });

  it('nothing that was kept runs: no script, no handler, no frame', () => {
    const kept = (shown: unknown): unknown =>
      readLastLook(JSON.stringify({ theme: 'light', shown: [shown] }));
    for (const tag of ['script', 'style', 'iframe', 'object', 'embed', 'SCRIPT', '1', 'a b'])
      expect(kept([tag, {}, []])).toBeNull();
    expect(kept(['p', {}, [['script', {}, ['x']]]])).toBeNull();
    const node = nodeOf(['p', { onclick: 'x()', id: 'p' }, []]);
    expect(node instanceof Element && node.outerHTML).toBe('<p id="p"></p>');
  });

  it.each([
    null,
    '',
    'null',
    '[]',
    '{"theme":1,"shown":[]}',
    '{"theme":"dark","shown":[[1]]}',
    '{"theme":"dark"}',
    '{"theme":"dark","shown":[["p",{"1 b":""},[]]]}',
  ])('damaged, or none: %s is none', text => {
    expect(readLastLook(text)).toBeNull();
  });
});
