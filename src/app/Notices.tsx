import { Toast } from 'radix-ui';
import type { Notice } from '../session/notices';
import { Sign } from '../ui/Sign';

const SHOWN_MS = 9000;

/** At the bench notices come from above: below is what the hand taps. */
export const Notices = (props: {
  readonly notice: Notice | null;
  readonly onGone: () => void;
  readonly isAbove: boolean;
}) => {
  const { notice, onGone, isAbove } = props;
  return (
    <Toast.Provider swipeDirection="down">
      <Toast.Root
        open={notice !== null}
        duration={notice?.stays ? Infinity : SHOWN_MS}
        onOpenChange={open => !open && onGone()}
        className="flex items-center gap-4 rounded-bench border border-ink bg-ink px-4 py-3 text-soap"
      >
        <Toast.Description className="flex-1">{notice?.text}</Toast.Description>
        {notice?.action && (
          <Toast.Action
            altText={notice.action.label}
            onClick={notice.action.run}
            className="min-h-9 rounded-bench border border-soap px-3 font-semibold"
          >
            {notice.action.label}
          </Toast.Action>
        )}
        <Toast.Close aria-label="Dismiss" className="min-h-9 px-2">
          <Sign of="close" />
        </Toast.Close>
      </Toast.Root>
      <Toast.Viewport
        className={`fixed left-1/2 z-50 w-[min(92vw,34rem)] -translate-x-1/2 outline-none ${isAbove ? 'top-2' : 'bottom-4'}`}
      />
    </Toast.Provider>
  );
};
