import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';
import { buttonClass } from './Button';

/** A sheet over the table. Escape and the cross close it. */
export const Dialog = (props: {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly title: string;
  /** Opened with wet hands: its close button is as large as the others there. */
  readonly wet?: boolean;
  readonly children: ReactNode;
}) => (
  <Radix.Root open={props.open} onOpenChange={props.onOpenChange}>
    <Radix.Portal>
      <Radix.Overlay className="fixed inset-0 z-40 bg-black/50" />
      <Radix.Content
        aria-describedby={undefined}
        className="fixed top-1/2 left-1/2 z-50 max-h-[85vh] w-[min(92vw,40rem)] -translate-1/2 overflow-auto rounded-bench border border-ink bg-steam p-5"
      >
        <div className="mb-3 flex items-baseline justify-between gap-4">
          <Radix.Title className="text-xl font-semibold">{props.title}</Radix.Title>
          <Radix.Close className={buttonClass('plain', props.wet ? 'wet' : 'dry')}>Close</Radix.Close>
        </div>
        {props.children}
      </Radix.Content>
    </Radix.Portal>
  </Radix.Root>
);
