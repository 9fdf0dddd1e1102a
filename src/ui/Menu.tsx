import type { KeyboardEvent } from 'react';
import { leadFocus } from './leadFocus';
import { useUnfolding } from './useUnfolding';

const lead = leadFocus('menuitem');

/** While a menu is open, keys are for it and not for the view below. */
const onKey = (e: KeyboardEvent<HTMLElement>): void => {
  lead(e);
  e.stopPropagation();
};

/** Acts that are seldom wanted, behind one button where there is no room for them side by side. */
export const Menu = (props: {
  readonly label: string;
  readonly items: ReadonlyArray<{ readonly text: string; readonly run: () => void }>;
}) => {
  const { isOpen, fold, button, sheet } = useUnfolding('end', '[role=menuitem]');
  return (
    <>
      <button
        {...button}
        type="button"
        aria-haspopup="menu"
        className="min-h-10 rounded-bench border border-transparent px-3 hover:border-rim"
      >
        {props.label}
      </button>
      <div
        {...sheet}
        role="menu"
        tabIndex={-1}
        aria-label={props.label}
        onKeyDown={onKey}
        className={`min-w-40 py-1 text-base ${sheet.className}`}
      >
        {isOpen &&
          props.items.map(item => (
            <button
              key={item.text}
              type="button"
              role="menuitem"
              tabIndex={-1}
              onClick={() => {
                fold();
                item.run();
              }}
              className="flex min-h-11 w-full cursor-pointer items-center px-4 outline-none hover:bg-ink hover:text-soap focus-visible:bg-ink focus-visible:text-soap"
            >
              {item.text}
            </button>
          ))}
      </div>
    </>
  );
};
