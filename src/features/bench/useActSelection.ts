import { useNavigate } from 'react-router';
import type { Act } from '../../core/acts/act';
import type { PieceContext } from '../../session/pieceContext';
import { type Shortcut, useShortcuts } from '../../session/shortcuts';
import type { Bench } from '../../session/useBench';
import { useCalmChanges } from '../../session/useCalm';
import {
  actFor,
  benchKind,
  type ActOverride,
  chosenWith,
  isTap,
  nextKind,
  opensPanel,
  panelOf,
  type PanelKind,
  turned,
} from './chosenAct';
import { undoKeys } from './undoKeys';
import type { BenchStatus } from './useBenchStatus';

const NOTHING: ActOverride = {};
/** Choices that were carried out by a tap, and the last entry of the log then: once the log goes on they hold no more. */
const spentAt = new WeakMap<ActOverride, string>();
const isSpent = (choice: ActOverride, logged: string): boolean =>
  choice !== NOTHING && (spentAt.get(choice) ?? logged) !== logged;

/** What was chosen of it, against the advice. */
interface Selection {
  readonly choice: ActOverride;
  readonly panel: PanelKind | null;
  /** The log as it was when what is next was put off: then the work goes on. */
  readonly putOffAt: string | null;
  /** The fault that is looked up in the panel of what is wrong; null is any. */
  readonly seen: string | null;
}
const AS_ADVISED: Selection = { choice: NOTHING, panel: null, putOffAt: null, seen: null };

/** What the great button stands for, what was chosen against the advice, and which panel is open. */
export const useActSelection = (context: PieceContext, standing: BenchStatus, bench: Bench) => {
  // Chosen, opened and left between two keys, in slices; a key or tap that comes before finds it drawn.
  const [{ choice, panel, putOffAt, seen }, change] = useCalmChanges(AS_ADVISED);
  const navigate = useNavigate();
  const logged = context.entries.at(-1)?.id ?? '';
  // What was chosen ends with the log, not at the tap: the bench would be drawn twice.
  const chosen = isSpent(choice, logged) ? NOTHING : choice;
  const proposed = putOffAt === logged ? standing.onward : standing.proposed;
  const as = { proposed, usual: standing.usual };
  const kind = benchKind(proposed, chosen);
  const act: Act | null = isTap(kind) ? actFor(kind, { ...as, chosen }) : null;
  /** A set of rolls as it would be done now. */
  const rollAct = actFor('roll', { ...as, chosen });
  /** True while the advice is being reckoned and the felter has chosen nothing else. */
  const isHeld = standing.isComputing && Object.keys(chosen).length === 0;
  const choose = (more: ActOverride): void =>
    change(was => ({
      choice: chosenWith(isSpent(was.choice, logged) ? NOTHING : was.choice, more, as),
    }));
  const logAll = (all: readonly Act[]): void => {
    spentAt.set(choice, logged);
    if (panel !== null) change(() => ({ panel: null }));
    for (const what of all) void bench.log(what);
  };
  const log = (what: Act): void => logAll([what]);
  const lookUp = (fault: string | null): void => change(() => ({ panel: 'wrong', seen: fault }));
  const open = (name: PanelKind | null): void => {
    if (name === 'wrong') return lookUp(null);
    // A panel that was called up instead of the advice, and left, leaves the advice; one that was advised puts it off.
    const leavesAdvice = name === null && chosen.kind !== undefined && opensPanel(chosen.kind);
    const putsOff = name === null && panel !== null && panelOf(proposed) === panel;
    change(() => ({
      panel: name,
      ...(leavesAdvice ? { choice: NOTHING } : {}),
      ...(putsOff ? { putOffAt: logged } : {}),
    }));
  };
  const another = (): void => choose({ kind: nextKind(kind, standing.acts) });
  const go = (): void => {
    if (isHeld) return;
    if (opensPanel(kind)) open(kind);
    else if (act) log(act);
    else if (kind === 'toFinish') void navigate('?do=finish', { replace: true });
  };
  return {
    isHeld,
    chosen,
    choose,
    /** What is next, unless it was put off. */
    proposed,
    kind,
    act,
    log,
    logAll,
    go,
    panel,
    setPanel: open,
    seen,
    lookUp,
    another,
    rollAct,
  };
};

export type ActSelection = ReturnType<typeof useActSelection>;

/** The bench by keys, pedal or page-turner. */
export const useBenchKeys = (
  acting: ActSelection,
  of: {
    readonly bench: Bench;
    readonly faces: readonly number[];
    /** True while something else holds the keys. */
    readonly isHeld: boolean;
  },
): void => {
  const { bench, faces } = of;
  const otherFace = (): void => {
    const now = acting.act && 'face' in acting.act ? acting.act.face : 1;
    acting.choose({ face: faces[(faces.indexOf(now) + 1) % faces.length] ?? 1 });
  };
  const keys: Shortcut[] = [
    {
      keys: [' ', 'Enter', 'PageDown'],
      shown: 'Space, PageDown',
      does: 'do and log what the big button says',
      run: acting.go,
    },
    ...undoKeys(bench),
    {
      keys: ['ArrowRight'],
      shown: '→',
      does: 'next direction, count or water',
      run: () => acting.choose(turned(acting.act, 1)),
    },
    {
      keys: ['ArrowLeft'],
      shown: '←',
      does: 'the one before',
      run: () => acting.choose(turned(acting.act, -1)),
    },
    { keys: ['ArrowUp', 'f'], shown: '↑', does: 'other side', run: otherFace },
    { keys: ['ArrowDown'], shown: '↓', does: 'another act', run: acting.another },
    { keys: ['m'], shown: 'M', does: 'measure', run: () => acting.setPanel('measure') },
    { keys: ['l'], shown: 'L', does: 'look', run: () => acting.setPanel('look') },
    { keys: ['t'], shown: 'T', does: 'tests', run: () => acting.setPanel('tests') },
    { keys: ['w'], shown: 'W', does: 'something is wrong', run: () => acting.setPanel('wrong') },
    { keys: ['r'], shown: 'R', does: 'recipe', run: () => acting.setPanel('recipe') },
    { keys: ['k'], shown: 'K', does: 'curve', run: () => acting.setPanel('curve') },
    ...(acting.act?.kind === 'roll' || acting.act?.kind === 'rub'
      ? [{ keys: ['c'], shown: 'C', does: 'count another way', run: () => acting.setPanel('count') }]
      : []),
    { keys: ['p'], shown: 'P', does: 'pinch test', run: () => acting.setPanel('pinch') },
  ];
  useShortcuts(acting.panel || of.isHeld ? [] : keys);
};
