import { useState } from 'react';
import { useNavigate } from 'react-router';
import { type Act, ROLL_DIRECTIONS } from '../../core/cycles/entry';
import type { PieceStage } from '../../session/pieceStage';
import { type Shortcut, useShortcuts } from '../../session/shortcuts';
import type { Bench } from '../../session/useBench';
import { actFor, benchKind, type Chosen, isTap, opensPanel } from './chosenAct';
import type { Standing } from './useStanding';

/** A panel that lies over the bench. */
export type BenchPanelName = 'measure' | 'pinch' | 'look' | 'tests' | 'wrong' | 'count' | 'curve' | 'recipe';

/** What the great button stands for, what was chosen against the advice, and which panel is open. */
export const useActing = (stage: PieceStage, standing: Standing, bench: Bench) => {
  const [chosen, setChosen] = useState<Chosen>({});
  const [panel, setPanel] = useState<BenchPanelName | null>(null);
  /** The fault that is looked up in the panel of what is wrong; null is any. */
  const [seen, setSeen] = useState<string | null>(null);
  const navigate = useNavigate();
  const kind = benchKind(standing.advice, chosen);
  const act: Act | null = isTap(kind)
    ? actFor(kind, { advice: standing.advice, chosen, settings: stage.settings })
    : null;
  /** True while the advice is being reckoned and the felter has chosen nothing else. */
  const isHeld = standing.isReckoning && Object.keys(chosen).length === 0;
  const choose = (more: Chosen): void => setChosen(was => ({ ...was, ...more }));
  const log = (what: Act): void => {
    setChosen({});
    setPanel(null);
    void bench.log(what);
  };
  const go = (): void => {
    if (isHeld) return;
    if (opensPanel(kind)) setPanel(kind);
    else if (act) log(act);
    else if (kind === 'finish') void navigate('../finish', { relative: 'path' });
  };
  const lookUp = (fault: string | null): void => {
    setSeen(fault);
    setPanel('wrong');
  };
  const open = (name: BenchPanelName | null): void => (name === 'wrong' ? lookUp(null) : setPanel(name));
  return { isHeld, chosen, choose, kind, act, log, go, panel, setPanel: open, seen, lookUp };
};

export type Acting = ReturnType<typeof useActing>;

/** The bench by keys, pedal or page-turner. */
export const useBenchKeys = (
  acting: Acting,
  of: {
    readonly bench: Bench;
    readonly faces: readonly number[];
    /** True while something else holds the keys. */
    readonly isHeld: boolean;
  },
): void => {
  const { bench, faces } = of;
  const turn = (by: number): void => {
    const now = acting.act?.kind === 'roll' ? acting.act.directionDeg : 0;
    const i = ROLL_DIRECTIONS.indexOf(now);
    const next = ROLL_DIRECTIONS[(i + by + ROLL_DIRECTIONS.length) % ROLL_DIRECTIONS.length];
    acting.choose({ kind: 'roll', ...(next === undefined ? {} : { directionDeg: next }) });
  };
  const otherFace = (): void => {
    const now = acting.act && 'face' in acting.act ? acting.act.face : 1;
    acting.choose({ face: faces[(faces.indexOf(now) + 1) % faces.length] ?? 1 });
  };
  const keys: Shortcut[] = [
    {
      keys: [' ', 'Enter', 'PageDown'],
      shown: 'Space, PageDown',
      does: 'do and log what the great button says',
      run: acting.go,
    },
    {
      keys: ['PageUp', 'Backspace', 'Ctrl+z'],
      shown: 'PageUp, Backspace',
      does: 'undo',
      run: () => void bench.undo?.(),
    },
    { keys: ['Ctrl+y', 'Ctrl+Shift+z'], shown: 'Ctrl+Y', does: 'redo', run: () => void bench.redo?.() },
    { keys: ['ArrowRight'], shown: '→', does: 'next rolling direction', run: () => turn(1) },
    { keys: ['ArrowLeft'], shown: '←', does: 'previous rolling direction', run: () => turn(-1) },
    { keys: ['ArrowUp', 'ArrowDown', 'f'], shown: '↑ ↓', does: 'other face', run: otherFace },
    { keys: ['m'], shown: 'M', does: 'measure', run: () => acting.setPanel('measure') },
    { keys: ['l'], shown: 'L', does: 'look', run: () => acting.setPanel('look') },
    { keys: ['t'], shown: 'T', does: 'tests', run: () => acting.setPanel('tests') },
    { keys: ['w'], shown: 'W', does: 'something is wrong', run: () => acting.setPanel('wrong') },
    { keys: ['r'], shown: 'R', does: 'recipe', run: () => acting.setPanel('recipe') },
    { keys: ['k'], shown: 'K', does: 'curve', run: () => acting.setPanel('curve') },
    ...(acting.act?.kind === 'roll' || acting.act?.kind === 'rub'
      ? [{ keys: ['c'], shown: 'C', does: 'count otherwise', run: () => acting.setPanel('count') }]
      : []),
    { keys: ['p'], shown: 'P', does: 'pinch test', run: () => acting.setPanel('pinch') },
  ];
  useShortcuts(acting.panel || of.isHeld ? [] : keys);
};
