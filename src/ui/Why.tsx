import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';

/** "Why?" beside a figure: the formula, its inputs, and where each came from. */
export const Why = ({ of, children }: { readonly of: string; readonly children: ReactNode }) => (
  <Popover.Root>
    <Popover.Trigger
      aria-label={`Why ${of}?`}
      className="size-7 shrink-0 rounded-bench border border-transparent text-[13px] text-chalk hover:border-rim"
    >
      ?
    </Popover.Trigger>
    <Popover.Portal>
      <Popover.Content
        sideOffset={4}
        collisionPadding={8}
        className="z-30 max-w-96 rounded-bench border border-ink bg-soap p-3 text-sm shadow-lg"
      >
        {children}
      </Popover.Content>
    </Popover.Portal>
  </Popover.Root>
);
