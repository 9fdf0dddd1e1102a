import { type ProposedAct, proposedChoices, proposedKind } from '../../core/advice/proposedAct';
import { type Act, controlOf } from '../../core/acts/act';
import type { ActChoices } from '../../core/acts/choices';
import { ROLL_DIRECTIONS } from '../../core/acts/vocabulary';
import type { UsualWork } from '../../core/acts/actSpec';

/** What opens a panel, and what the great button says then. */
export const PANELS = {
  measure: 'Measure',
  compare: 'Check the drawing',
  pinch: 'Pinch test',
  look: 'Open it and look',
  tests: 'Test it',
  light: 'Against the light',
  photo: 'By a picture',
  wrong: 'Something is wrong',
  count: 'Counting',
  recipe: 'Recipe',
  curve: 'Curve',
  many: 'Pieces',
  note: 'Note',
  wool: 'Add wool',
  dryWeight: 'Weigh it',
  more: 'More',
} as const;
export type PanelKind = keyof typeof PANELS;

/** What the great button does: an act that one tap logs, by its kind; opening a panel, by its name; or leaving for the finish. */
export type BenchKind = string;

export const opensPanel = (kind: BenchKind): kind is PanelKind => Object.hasOwn(PANELS, kind);
/** Whether one tap logs it. */
export const isTap = (kind: BenchKind): boolean => controlOf(kind) !== null;
/** What the great button says where it logs nothing by itself. */
export const greatWords = (kind: BenchKind): string => (opensPanel(kind) ? PANELS[kind] : 'To the finish');

/** Panels that no key goes round to: they only lead to others, or are for what is seldom. */
const APART: ReadonlySet<string> = new Set(['more', 'many', 'light', 'photo', 'note', 'wool', 'dryWeight']);

/** What a key goes on to, one after the other: every act of the way, and every panel but the one that only leads to others. */
const roundOf = (acts: readonly string[]): readonly BenchKind[] => [
  ...acts,
  ...Object.keys(PANELS).filter(p => !APART.has(p)),
];
/** What is done where nothing else is said. */
const USUAL_KIND = 'roll';

/** The act after another; after what only a recipe or the end asks for, the first. @param acts those of the way */
export const nextKind = (kind: BenchKind, acts: readonly string[]): BenchKind => {
  const round = roundOf(acts);
  const at = round.indexOf(kind);
  return round[(at + 1) % round.length] ?? USUAL_KIND;
};

/** What the felter has chosen against the advice. Session state; it is forgotten after the act. */
export type ActOverride = ActChoices & { readonly kind?: BenchKind };

/** The next of a few to choose from, going round. */
const following = <T>(all: readonly T[], now: T, by: 1 | -1): T | undefined =>
  all[(all.indexOf(now) + by + all.length) % all.length];

/** What a key to the right or left chooses of an act: its direction, its count, or how warm the water is; by default it rolls. */
export const turned = (act: Act | null, by: 1 | -1): ActOverride => {
  const control = act ? controlOf(act.kind) : null;
  const now = act && control ? control.choicesOf(act) : {};
  const kind = control?.kind ?? USUAL_KIND;
  switch (control?.turns ?? 'direction') {
    case 'count': {
      const count = following(control?.counts?.choices ?? [], now.count ?? 0, by);
      return { kind, ...(count === undefined ? {} : { count }) };
    }
    case 'water':
      return { kind, water: now.water === 'hot' ? 'warm' : 'hot' };
    case 'direction':
      return {
        kind: control?.turns ? kind : USUAL_KIND,
        directionDeg: following(ROLL_DIRECTIONS, now.directionDeg ?? 0, by) ?? 0,
      };
  }
};

const kindProposed = (proposed: ProposedAct): BenchKind => {
  if (proposed.act === 'stretch') return 'measure';
  if (proposed.act === 'test') return 'tests';
  return proposedKind(proposed) ?? (proposed.act === 'stop' ? 'toFinish' : proposed.act);
};

/** The panel that an advice opens; null where one tap logs it. */
export const panelOf = (proposed: ProposedAct): PanelKind | null => {
  const kind = kindProposed(proposed);
  return opensPanel(kind) ? kind : null;
};

/** What the great button stands for: the advice, unless the felter chose otherwise. */
export const benchKind = (proposed: ProposedAct, chosen: ActOverride): BenchKind =>
  chosen.kind ?? kindProposed(proposed);

/** The act that a tap would log now; null where it is not the kind's to say and the advice does not ask for it. */
export const actFor = (
  kind: BenchKind,
  of: { readonly proposed: ProposedAct; readonly chosen: ActOverride; readonly usual: UsualWork },
): Act | null => {
  const pieceForecast = proposedChoices(of.proposed);
  const own = proposedKind(of.proposed) === kind ? pieceForecast : {};
  const face = pieceForecast.face === undefined ? {} : { face: pieceForecast.face };
  return controlOf(kind)?.make({ ...face, ...own, ...of.chosen }, of.usual) ?? null;
};

/**
 * What is chosen after one more choice. What was not chosen is settled as it stands: an answer that comes meanwhile must not
 * change the act under the hand.
 */
export const chosenWith = (
  was: ActOverride,
  more: ActOverride,
  of: { readonly proposed: ProposedAct; readonly usual: UsualWork },
): ActOverride => {
  const isOther = more.kind !== undefined && more.kind !== benchKind(of.proposed, was);
  const next: ActOverride = isOther ? more : { ...was, ...more };
  const kind = benchKind(of.proposed, next);
  const control = controlOf(kind);
  // What only the advice knows is left to the advice.
  if (!control || control.takes.length === 0) return next;
  const act = actFor(kind, { ...of, chosen: next });
  return act ? { ...next, kind, ...control.choicesOf(act) } : next;
};
