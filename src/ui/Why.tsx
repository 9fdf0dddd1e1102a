import type { ReactNode } from 'react';
import { useUnfolding } from './useUnfolding';

/** "Why?" beside a figure: the formula, its inputs, and where each came from. */
export const Why = ({ of, children }: { readonly of: string; readonly children: ReactNode }) => {
  const { isOpen, button, sheet } = useUnfolding('middle');
  const words = `Why ${of}?`;
  return (
    <>
      <button
        {...button}
        type="button"
        aria-haspopup="dialog"
        aria-label={words}
        className="size-7 shrink-0 rounded-bench border border-transparent text-[13px] text-chalk hover:border-rim"
      >
        ?
      </button>
      <div
        {...sheet}
        role={isOpen ? 'dialog' : undefined}
        aria-label={isOpen ? words : undefined}
        className={`max-w-96 p-3 text-sm ${sheet.className}`}
      >
        {isOpen && children}
      </div>
    </>
  );
};
