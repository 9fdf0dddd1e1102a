import { relax, type HeldLinks } from '../chain/relax';
import type { ChainQuantity } from '../chain/quantities';
import type { FormKind, Measures } from '../forms/formKind';
import { formKind } from '../forms/kinds/registry';
import type { DrawnOutline } from '../outline/drawn';
import { boundsOf } from '../outline/polygon';
import { curvedOutline } from '../outline/curve';
import { chainContext, keptValues, measuresAt, nominalSize } from './chainOfPlan';
import { MAX_SHRINKAGE } from '../tolerances';
import { planOf } from './planOf';
import type { PlanInput } from './planInput';

/** Just below the largest shrinkage a plan may hold. */
const LARGEST = MAX_SHRINKAGE - 1e-3;

const add = (holds: HeldLinks, link: ChainQuantity): HeldLinks =>
  holds.pinned.includes(link) || holds.given.includes(link)
    ? holds
    : { pinned: holds.pinned, given: [...holds.given, link] };

/** The figure of a link written into its place in the plan. */
const write = (
  kind: FormKind,
  input: PlanInput,
  { link, value }: { readonly link: ChainQuantity; readonly value: number },
): PlanInput => {
  if (link === 'size')
    return {
      ...input,
      form: {
        ...input.form,
        measures: measuresAt(kind, input, { sizeMm: value, along: input.shrinkage.along }),
      },
    };
  if (link === 'shrinkage') {
    const ratio = input.shrinkage.along > 0 ? input.shrinkage.across / input.shrinkage.along : 1;
    return { ...input, shrinkage: { along: value, across: Math.min(value * ratio, LARGEST) } };
  }
  return { ...input, chain: { ...input.chain, [link]: value } };
};

const hold = (kind: FormKind, input: PlanInput, link: ChainQuantity): PlanInput => {
  const holds = relax(add(input, link), link, {
    values: keptValues(kind, input),
    ctx: chainContext(kind, input),
  });
  return { ...input, pinned: holds.pinned, given: holds.given };
};

/**
 * Holds what the measures of a form say: its finished size, or its laid one where they are as laid. A finished size that is kept, or
 * that was typed where no shrinkage is held, stays: then the shrinkage follows.
 * @param was the plan before its measures were changed
 */
const holdSize = (kind: FormKind, input: PlanInput, was: PlanInput): PlanInput => {
  if (kind.size.asLaid?.(input.form.measures) !== true) return hold(kind, input, 'size');
  const laidSize = nominalSize(kind, input) / (1 - input.shrinkage.along);
  const size = nominalSize(kind, was);
  const holds = (link: ChainQuantity): boolean => input.pinned.includes(link) || input.given.includes(link);
  const isKept = input.pinned.includes('size') || (input.given.includes('size') && !holds('shrinkage'));
  const follows = isKept && laidSize > size;
  const laid = {
    ...(follows
      ? write(kind, input, { link: 'shrinkage', value: Math.min(1 - size / laidSize, LARGEST) })
      : input),
    chain: { ...input.chain, laidSize },
    // A size that cannot stay gives way, and what shrinkage there was stays.
    given: follows
      ? input.given
      : [...input.given.filter(l => l !== 'size'), ...(holds('shrinkage') ? [] : (['shrinkage'] as const))],
  };
  return hold(kind, laid, 'laidSize');
};

/** Links that followed are written down first, so that what is drawn is what is kept when another link gives way. */
const settle = (kind: FormKind, input: PlanInput): PlanInput => {
  const plan = planOf(input);
  if (!plan.ok || plan.value.solution.status !== 'solved') return input;
  const { size, shrinkage, ...rest } = plan.value.solution.values;
  // The shrinkage first: a size may be measured as it is laid.
  return write(kind, write(kind, { ...input, chain: rest }, { link: 'shrinkage', value: shrinkage }), {
    link: 'size',
    value: size,
  });
};

const withKind = (input: PlanInput, change: (kind: FormKind) => PlanInput): PlanInput => {
  const kind = formKind(input.form.kind);
  return kind.ok ? change(kind.value) : input;
};

/** Sets one link of the chain: it is now given, and one lightly held link gives way. */
export const setLink = (input: PlanInput, link: ChainQuantity, value: number): PlanInput =>
  withKind(input, kind => hold(kind, write(kind, settle(kind, input), { link, value }), link));

/** Sets a measure of the form; the size is now given. */
export const setMeasure = (input: PlanInput, id: string, value: number): PlanInput =>
  withKind(input, kind => {
    const settled = settle(kind, input);
    const set: Measures = { ...settled.form.measures, [id]: value };
    return holdSize(
      kind,
      { ...settled, form: { ...settled.form, measures: kind.settle?.(set, id) ?? set } },
      settled,
    );
  });

/** Gives the form one place more or fewer, at the size it has now; null where the form cannot. */
export const setPlaces = (input: PlanInput, how: 'more' | 'fewer'): PlanInput | null => {
  const kind = formKind(input.form.kind);
  if (!kind.ok) return null;
  const settled = settle(kind.value, input);
  const measures = kind.value.places?.[how](settled.form.measures) ?? null;
  return measures && holdSize(kind.value, { ...settled, form: { ...settled.form, measures } }, settled);
};

/** Sets the shrinkage of one axis; the shrinkage is now given. The other axis stays as it is. */
export const setAxisShrinkage = (input: PlanInput, axis: 'along' | 'across', value: number): PlanInput =>
  withKind(input, kind => {
    const settled = settle(kind, input);
    return hold(kind, { ...settled, shrinkage: { ...settled.shrinkage, [axis]: value } }, 'shrinkage');
  });

/** Pins a link at the figure it has now, or lets a pin go so that it may give way again. */
export const togglePin = (input: PlanInput, link: ChainQuantity): PlanInput =>
  withKind(input, kind => {
    if (input.pinned.includes(link))
      return { ...input, pinned: input.pinned.filter(l => l !== link), given: [...input.given, link] };
    const settled = settle(kind, input);
    const firm = {
      ...settled,
      pinned: [...settled.pinned, link],
      given: settled.given.filter(l => l !== link),
    };
    return hold(kind, firm, link);
  });

/** How many alike are made. The wool in all follows, unless it is held. */
export const setPieces = (input: PlanInput, pieces: number): PlanInput =>
  withKind(input, kind => ({ ...settle(kind, input), pieces }));

/** Whether lengths were taken inside the wall or over it. The figures stay as they were typed. */
export const setMeasuredOn = (input: PlanInput, measuredOn: PlanInput['form']['measuredOn']): PlanInput =>
  withKind(input, kind => {
    const settled = settle(kind, input);
    return { ...settled, form: { ...settled.form, measuredOn } };
  });

/** Another drawn outline; length and width become its own. */
export const setOutline = (input: PlanInput, outline: DrawnOutline): PlanInput =>
  withKind(input, kind => {
    const settled = settle(kind, input);
    const box = boundsOf(curvedOutline(outline).points);
    const measures = {
      ...settled.form.measures,
      length: box.maxX - box.minX,
      width: box.maxY - box.minY,
    };
    const next = { ...settled, form: { ...settled.form, measures, outline } };
    // A size that is held already stays held: an outline dragged by a hair need not be solved twice.
    return add(next, 'size') === next ? next : hold(kind, next, 'size');
  });
