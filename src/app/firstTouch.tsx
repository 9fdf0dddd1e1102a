import { useState } from 'react';
import { createRoot } from 'react-dom/client';

/** A field and a button, with something to draw at whatever a hand does. */
const Practice = () => {
  const [text, setText] = useState('');
  const [isOn, setIsOn] = useState(false);
  const on = (): void => setIsOn(true);
  const off = (): void => setIsOn(false);
  return (
    <div onPointerMove={on} onPointerLeave={off}>
      <label>
        {text}
        <input
          value={text}
          aria-invalid={isOn}
          onFocus={on}
          onBlur={off}
          onKeyDown={off}
          onChange={e => setText(e.target.value)}
        />
      </label>
      <button
        type="button"
        aria-pressed={isOn}
        onMouseDown={on}
        onPointerDown={off}
        onClick={() => setText('')}
      >
        {text}
      </button>
    </div>
  );
};

const MOUSE = [
  ['pointerout', PointerEvent],
  ['pointerover', PointerEvent],
  ['mouseout', MouseEvent],
  ['mouseover', MouseEvent],
  ['pointermove', PointerEvent],
  ['mousemove', MouseEvent],
  ['pointerdown', PointerEvent],
  ['mousedown', MouseEvent],
  ['focusin', FocusEvent],
  ['pointerup', PointerEvent],
  ['mouseup', MouseEvent],
  ['click', MouseEvent],
  ['focusout', FocusEvent],
] as const;
const KEYS = ['a', 'b'] as const;
const TIMES = 2;
/** So many idle moments are waited for the field to be there. */
const MOST_WAITS = 9;

/** What a mouse does that goes to an element, from another. */
const mouse = (on: Element, from: Element): ReadonlyArray<() => void> =>
  MOUSE.map(([type, Kind]) => () => {
    on.dispatchEvent(new Kind(type, { bubbles: true, cancelable: true, relatedTarget: from }));
  });

const letters = (input: HTMLInputElement): ReadonlyArray<() => void> =>
  KEYS.flatMap(key => {
    const of = { bubbles: true, cancelable: true, key };
    return [
      () => input.dispatchEvent(new KeyboardEvent('keydown', of)),
      () => {
        input.setRangeText(key);
        input.dispatchEvent(new InputEvent('input', { bubbles: true, data: key }));
      },
      () => input.dispatchEvent(new KeyboardEvent('keyup', of)),
    ];
  });

/**
 * Lets the browser learn in idle moments what it needs for a hand's first letter and first tap, on a field and a button that nobody sees: read and
 * compiled in the moment itself it took as long as the rest of the letter.
 * @param idle settles when nobody waits for anything
 */
export const practise = async (idle: () => Promise<void>): Promise<void> => {
  const place = document.createElement('div');
  const root = createRoot(place);
  root.render(<Practice />);
  for (let waits = 0; waits < MOST_WAITS && !place.firstChild; waits += 1) await idle();
  const input = place.querySelector('input');
  const button = place.querySelector('button');
  if (input && button)
    for (let time = 0; time < TIMES; time += 1)
      for (const go of [...mouse(input, button), ...letters(input), ...mouse(button, input)]) {
        go();
        await idle();
      }
  root.unmount();
};
