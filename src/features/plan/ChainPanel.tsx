import { Link2, Pin } from 'lucide-react';
import { useEffect, useState } from 'react';
import { type ChainQuantity, linksOf } from '../../core/chain/quantities';
import { issueText } from '../../words/issues';
import { originOf } from '../../core/plan/explain';
import { relaxedLink } from '../../core/plan/relaxedLink';
import { planOf } from '../../core/plan/planOf';
import type { PlanInput } from '../../core/plan/planInput';
import { refusalOf } from '../../core/plan/refusalOf';
import type { Plan } from '../../core/plan/makePlan';
import { setAxisShrinkage, setLink, togglePin } from '../../core/plan/setLink';
import { homeUnit, showFigure, showQuantity, type UnitSystem } from '../../core/units/units';
import { useNotify } from '../../session/notices';
import { useUndo } from '../../session/useUndo';
import type { PieceContext } from '../../session/pieceContext';
import { afterwards } from '../../ui/afterwards';
import { NumberField, type Read } from '../../ui/NumberField';
import { reader, shrinkageReader } from '../../ui/readers';
import { AXIS_WORDS } from '../../words/axes';
import { LINK_LABELS } from '../../words/links';
import { LINK_FIELDS } from './linkFields';
import { ORIGIN_WORDS } from '../../words/links';
import { FirmnessScale } from './FirmnessScale';
import { WhyLink } from './WhyLink';

interface RowProps {
  readonly context: PieceContext;
  readonly plan: Plan;
  readonly link: ChainQuantity;
  readonly units: UnitSystem;
}

/** Whether the figure is only usual practice, and nobody's own yet. */
const isGuess = ({ context, plan, link }: RowProps): boolean =>
  link === 'shrinkage'
    ? context.piece.shrinkageFrom === 'practice' && originOf(context.piece.plan, plan, link) === 'given'
    : originOf(context.piece.plan, plan, link) === 'usual';

const labelOf = (plan: Plan, link: ChainQuantity): string => {
  const { size, laidName } = plan.kind;
  if (link === 'laidSize' && laidName !== undefined) return laidName;
  return link === 'size' || link === 'laidSize' ? `${LINK_LABELS[link]} ${size.name}` : LINK_LABELS[link];
};

const PinButton = ({ context, link, plan }: RowProps) => {
  const origin = originOf(context.piece.plan, plan, link);
  const pinned = origin === 'pinned';
  return (
    <button
      type="button"
      aria-pressed={pinned}
      aria-label={`Keep ${labelOf(plan, link)}`}
      title={ORIGIN_WORDS[origin]}
      onClick={() => context.changePlan(p => togglePin(p, link), { label: `keep ${LINK_LABELS[link]}` })}
      className={`relative z-10 grid size-8 shrink-0 place-items-center rounded-full border ${
        pinned
          ? 'border-ink bg-ink text-soap'
          : origin === 'given' || origin === 'usual'
            ? 'border-chalk bg-soap'
            : 'border-dashed border-rim bg-steam text-chalk'
      }`}
    >
      {origin === 'follows' ? (
        <Link2 size={15} aria-hidden />
      ) : (
        <Pin size={15} aria-hidden fill={pinned ? 'currentColor' : 'none'} />
      )}
    </button>
  );
};

/** Both shrinkages; they are one link of the chain, held in their ratio. */
const ShrinkageFields = ({ context, plan, link, units }: RowProps) => (
  <div className="flex gap-3">
    {(['along', 'across'] as const).map(axis => (
      <NumberField
        key={axis}
        label={AXIS_WORDS[axis]}
        className="w-20"
        strong
        guess={isGuess({ context, plan, link, units })}
        shown={showFigure(plan.shrinkage[axis], 'share', { units: units, places: 1 }).replace(/\.0$/, '')}
        unit="%"
        read={shrinkageReader(units)}
        onStep={n =>
          context.changePlan(
            p => setAxisShrinkage(p, axis, Math.min(0.94, Math.max(0, plan.shrinkage[axis] + n * 0.01))),
            { label: 'shrinkage', key: `s.${axis}` },
          )
        }
        onValue={v =>
          context.changePlan(p => setAxisShrinkage(p, axis, v), { label: 'shrinkage', key: `s.${axis}` })
        }
      />
    ))}
  </div>
);

/** True for a moment after a figure has changed by itself: the free number is seen to move. */
const useMoved = (shown: string): boolean => {
  const [seen, setSeen] = useState({ shown, moved: false });
  if (seen.shown !== shown) setSeen({ shown, moved: true });
  useEffect(() => {
    if (!seen.moved) return undefined;
    const timer = setTimeout(() => setSeen(s => ({ ...s, moved: false })), 900);
    return () => clearTimeout(timer);
  }, [seen]);
  return seen.moved;
};

/** A reader that also refuses a figure whose consequences no felt has, with what would follow. */
const taking =
  (input: PlanInput) =>
  (read: (text: string) => Read, after: (value: number) => PlanInput) =>
  (text: string): Read => {
    const got = read(text);
    if (!got.ok) return got;
    const refused = refusalOf(input, after(got.value));
    return refused.length > 0 ? { ok: false, why: refused.map(issueText).join(' ') } : got;
  };

/** Says which wish gave way to what was typed, from what to what, with a way back. */
const useTellGaveWay = ({ context, plan, units }: Omit<RowProps, 'link'>): ((after: PlanInput) => void) => {
  const { tell } = useNotify();
  const { undo } = useUndo();
  return after => {
    const link = relaxedLink(context.piece.plan, after);
    const next = planOf(after);
    if (link === null || !next.ok) return;
    const show = (v: number | undefined): string =>
      v === undefined ? '—' : showQuantity(v, LINK_FIELDS[link].dimension, units);
    const [was, is] = [show(plan.values[link]), show(next.value.values[link])];
    if (was !== is)
      tell({
        text: `${labelOf(plan, link)} changed to fit: ${was} became ${is}.`,
        action: { label: 'Put it back', run: undo },
      });
  };
};

const LinkField = ({ context, plan, link, units }: RowProps) => {
  const { dimension, min, max, step } = LINK_FIELDS[link];
  const value = plan.values[link];
  const places = dimension === 'count' ? 1 : dimension === 'areal' ? 0 : undefined;
  const shown =
    value === undefined
      ? ''
      : showFigure(value, dimension, { units: units, ...(places === undefined ? {} : { places }) }).replace(
          /\.0$/,
          '',
        );
  const takes = taking(context.piece.plan);
  const follows = originOf(context.piece.plan, plan, link) === 'follows';
  const moved = useMoved(shown);
  const tellGaveWay = useTellGaveWay({ context, plan, units });
  const put = (v: number): void => {
    context.changePlan(p => setLink(p, link, v), { label: labelOf(plan, link), key: link });
    afterwards(() => tellGaveWay(setLink(context.piece.plan, link, v)));
  };
  return (
    <NumberField
      className={`w-32 ${moved && follows ? 'moved' : ''}`}
      strong
      guess={isGuess({ context, plan, link, units })}
      label={labelOf(plan, link)}
      hideLabel
      shown={shown}
      unit={homeUnit(dimension, units)}
      read={takes(reader(dimension, units, { min, max }), v => setLink(context.piece.plan, link, v))}
      onStep={n =>
        value !== undefined && put(Math.min(max, Math.max(min, Math.round(value / step + n) * step)))
      }
      onValue={put}
    />
  );
};

const Row = (props: RowProps) => {
  const { link, plan, context, units } = props;
  const from = link === 'shrinkage' ? SHRINKAGE_FROM[context.piece.shrinkageFrom] : undefined;
  return (
    <li className="relative flex min-h-10 items-center gap-3">
      <PinButton {...props} />
      <span className="min-w-0 flex-1 leading-tight first-letter:uppercase">{labelOf(plan, link)}</span>
      {link === 'shrinkage' ? <ShrinkageFields {...props} /> : <LinkField {...props} />}
      <WhyLink
        link={link}
        input={context.piece.plan}
        plan={plan}
        units={units}
        {...(from ? { more: from } : {})}
      />
    </li>
  );
};

const SHRINKAGE_FROM: Readonly<Record<PieceContext['piece']['shrinkageFrom'], string>> = {
  practice: 'A third is common practice for a wool you do not know yet. A swatch tells you more.',
  wool: 'Suggested from your finished pieces in this wool.',
  felter: 'Set by you.',
};

/** The chain of numbers: what is kept, what was typed, and what follows. */
export const ChainPanel = ({ context, plan }: { readonly context: PieceContext; readonly plan: Plan }) => (
  <section aria-labelledby="chain-title">
    <h2 id="chain-title" className="text-lg font-semibold">
      Linked figures
    </h2>
    <p className="mb-2 text-[13px] text-chalk">
      Type any figure and keep the ones that must not change. The others follow; pale ones are just usual
      practice.
    </p>
    <ul className="relative flex flex-col gap-1 before:absolute before:top-4 before:bottom-8 before:left-[15px] before:border-l-2 before:border-rim">
      {linksOf(plan.kind.body).map(link => (
        <Row key={link} link={link} context={context} plan={plan} units={context.settings.units} />
      ))}
    </ul>
    <FirmnessScale density={plan.values.firmness ?? null} />
  </section>
);
