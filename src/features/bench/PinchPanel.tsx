import type { PinchGrade } from '../../core/acts/vocabulary';
import { Button } from '../../ui/Button';
import { PINCH } from '../../core/acts/pinch';
import { PanelFrame } from './PanelFrame';

const GRADES: readonly PinchGrade[] = [0, 1, 2, 3];

/** What each grade looks like: a finger and thumb above the surface, and what comes with them. */
const Picture = ({ grade }: { readonly grade: PinchGrade }) => (
  <svg viewBox="0 0 120 60" className="h-14 w-28 shrink-0" aria-hidden="true">
    <path d="M44 4L56 20M76 4L64 20" className="stroke-current" strokeWidth={6} strokeLinecap="round" />
    {grade === 0 && (
      <path
        d="M2 52H118M58 22l-5 12M62 22l5 12M60 22v14M30 44l10-6M80 38l10 6"
        className="fill-none stroke-current"
        strokeWidth={2.5}
      />
    )}
    {grade === 1 && (
      <path
        d="M2 52H118M60 22V52M60 24L46 52M60 24L74 52"
        className="fill-none stroke-current"
        strokeWidth={2.5}
      />
    )}
    {grade === 2 && (
      <path
        d="M2 52C34 52 44 26 60 24C76 26 86 52 118 52"
        className="fill-none stroke-current"
        strokeWidth={4}
      />
    )}
    {grade === 3 && <path d="M2 48H118" className="fill-none stroke-current" strokeWidth={9} />}
  </svg>
);

/** The pinch test: one tap on what is seen. */
export const PinchPanel = ({
  onGrade,
  onCancel,
}: {
  readonly onGrade: (grade: PinchGrade) => void;
  readonly onCancel: () => void;
}) => (
  <PanelFrame
    title="Pinch the surface and lift. What happens?"
    label="Pinch test"
    onCancel={onCancel}
    keys={GRADES.map(g => ({ keys: [String(g)], shown: String(g), does: PINCH[g], run: () => onGrade(g) }))}
  >
    {GRADES.map(g => (
      <Button
        key={g}
        size="wet"
        className="min-h-24 flex-1 !justify-start !text-2xl"
        onClick={() => onGrade(g)}
      >
        <span className="w-8 font-semibold">{g}</span>
        <Picture grade={g} />
        {PINCH[g]}
      </Button>
    ))}
  </PanelFrame>
);
