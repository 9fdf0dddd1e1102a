import { describe, expect, it } from 'vitest';
import type { ProposedAct, Reason } from '../../core/advice/proposedAct';
import { type Act, type ActKind, actWords } from '../../core/acts/act';
import { tableAngle } from '../../drawing/orient';
import { DEFAULT_SETTINGS } from '../../records/settings';
import { proposalReason, proposalWords } from '../../words/proposals';
import { turnOfLine } from './turnOfLine';
import { wayOf } from '../../core/ways/register';
import { faultName } from '../../words/faults';
import { markWords } from '../../words/drawingMarks';
import { testWords } from '../../words/feltTests';
import { actSoFar } from './pacing';
import { actFor, benchKind, chosenWith, nextKind, turned } from './chosenAct';

const ROLL: ProposedAct = { act: 'roll', face: 2, directionDeg: 90, rolls: 30, reason: 'least-worked' };

describe('the great button', () => {
  const of = {
    proposed: ROLL,
    chosen: {},
    usual: { ...DEFAULT_SETTINGS, setOfRolls: 50, cushion: 'mat' as const },
  };

  it('does what is advised, with the cushion and pressure chosen', () => {
    expect(benchKind(ROLL, {})).toBe('roll');
    expect(actFor('roll', of)).toEqual({
      kind: 'roll',
      face: 2,
      directionDeg: 90,
      rolls: 30,
      cushion: 'mat',
      pressure: 'arms',
    });
  });

  it('does what the felter chose instead', () => {
    expect(benchKind(ROLL, { kind: 'throw' })).toBe('throw');
    expect(actFor('roll', { ...of, chosen: { face: 1, directionDeg: 45 } })).toMatchObject({
      face: 1,
      directionDeg: 45,
    });
    expect(actFor('roll', { ...of, chosen: { count: 20 } })).toMatchObject({ rolls: 20 });
    const test: ProposedAct = { act: 'pinch', reason: 'skin-to-test' };
    expect(actFor('roll', { ...of, proposed: test })).toMatchObject({ rolls: 50 });
    expect(actFor('rub', of)).toEqual({ kind: 'rub', face: 2, count: 40 });
  });

  it('does a step of a recipe with the count, water and cushion it asks for, unless chosen otherwise', () => {
    const reason = 'by-recipe';
    const thick: ProposedAct = { ...ROLL, cushion: 'thick', reason };
    expect(actFor('roll', { ...of, proposed: thick })).toMatchObject({ cushion: 'thick' });
    expect(actFor('roll', { ...of, proposed: thick, chosen: { cushion: 'bare' } })).toMatchObject({
      cushion: 'bare',
    });
    const rub: ProposedAct = { act: 'rub', face: 1, count: 15, reason };
    expect(actFor('rub', { ...of, proposed: rub })).toMatchObject({ count: 15 });
    expect(actFor('rub', { ...of, proposed: rub, chosen: { count: 60 } })).toMatchObject({ count: 60 });
    const wet: ProposedAct = { act: 'wet', face: 1, water: 'warm', reason };
    expect(actFor('wet', { ...of, proposed: wet })).toMatchObject({ water: 'warm' });
    const cut: ProposedAct = { act: 'open', what: 'cut', reason };
    expect(benchKind(cut, {})).toBe('open');
    expect(actFor('open', { ...of, proposed: cut })).toEqual({ kind: 'open', what: 'cut' });
    expect(actFor('open', of)).toBeNull();
    const rinse: ProposedAct = { act: 'step', step: { id: 's9', act: 'rinse' }, reason };
    expect(actFor('step', { ...of, proposed: rinse })).toEqual({ kind: 'step', step: 's9', how: 'done' });
    expect(actFor('step', of)).toBeNull();
  });

  it('goes to the finish when the work is done, and measures when it is past', () => {
    expect(benchKind({ act: 'stop', reason: 'size-and-firm' }, {})).toBe('toFinish');
    expect(benchKind({ act: 'stretch', reason: 'too-small' }, {})).toBe('measure');
  });
});

describe('what was chosen', () => {
  const settings = { ...DEFAULT_SETTINGS, setOfRolls: 50, cushion: 'mat' as const };
  const of = { proposed: ROLL, usual: settings };
  const LATER: ProposedAct = { act: 'roll', face: 1, directionDeg: 0, rolls: 20, reason: 'way-to-go' };

  it('settles the rest as it stands: an answer that comes later changes nothing under the hand', () => {
    const shown = actFor('roll', { ...of, chosen: { kind: 'roll' } });
    const chosen = chosenWith({}, { kind: 'roll' }, of);
    expect(actFor('roll', { ...of, chosen })).toEqual(shown);
    expect(actFor('roll', { proposed: LATER, chosen, usual: settings })).toEqual(shown);
    const further = chosenWith(chosen, { count: 100 }, { proposed: LATER, usual: settings });
    expect(actFor('roll', { proposed: LATER, chosen: further, usual: settings })).toEqual({
      ...shown,
      rolls: 100,
    });
  });

  it('begins anew with another act, and with its own count', () => {
    const thrown = chosenWith({}, { kind: 'throw', count: 50 }, of);
    const rubbed = chosenWith(thrown, { kind: 'rub' }, of);
    expect(rubbed).toEqual({ kind: 'rub', face: 2, count: 40 });
    expect(chosenWith(rubbed, { face: 1 }, of)).toEqual({ kind: 'rub', face: 1, count: 40 });
    expect(chosenWith(rubbed, { kind: 'wet' }, of)).toEqual({ kind: 'wet', face: 2, water: 'hot' });
    expect(chosenWith({}, { kind: 'shock' }, of)).toEqual({ kind: 'shock', count: 1 });
    expect(chosenWith({}, { kind: 'measure' }, of)).toEqual({ kind: 'measure' });
  });

  it('leaves what only the advice knows to the advice', () => {
    const cut: ProposedAct = { act: 'open', what: 'cut', reason: 'by-recipe' };
    expect(chosenWith({}, { face: 2 }, { proposed: cut, usual: settings })).toEqual({ face: 2 });
  });
});

describe('what the pacer had counted', () => {
  it('is the act as far as it came', () => {
    const roll = {
      kind: 'roll',
      face: 1,
      directionDeg: 90,
      rolls: 100,
      cushion: 'mat',
      pressure: 'arms',
    } as const;
    expect(actSoFar({ act: roll, count: 17 })).toEqual({ ...roll, rolls: 17 });
    expect(actSoFar({ act: { kind: 'rub', face: 2, count: 40 }, count: 9 })).toEqual({
      kind: 'rub',
      face: 2,
      count: 9,
    });
  });
});

const BUNDLE = wayOf({}, { outlineIs: 'resist', solid: null }, null);
const BUNDLE_ACTS = ['wet', 'rub', 'roll', 'throw', 'shock'];

describe('a few keys', () => {
  it('come to every act and every panel, and round again', () => {
    let kind = benchKind(ROLL, {});
    const met = [kind];
    for (let i = 0; i < 13; i += 1) {
      kind = nextKind(kind, BUNDLE_ACTS);
      met.push(kind);
    }
    expect(new Set(met).size).toBe(14);
    expect(nextKind(kind, BUNDLE_ACTS)).toBe(met[0]);
    // What only a recipe or the end asks for goes on to the first act.
    expect(nextKind('toFinish', BUNDLE_ACTS)).toBe('wet');
    expect(nextKind('measure', ['palms'])).toBe('compare');
  });

  it('choose a direction, a count, or how warm the water is', () => {
    const roll = {
      kind: 'roll',
      face: 1,
      directionDeg: 135,
      rolls: 20,
      cushion: 'bare',
      pressure: 'hard',
    } as const;
    expect(turned(roll, 1)).toEqual({ kind: 'roll', directionDeg: 0 });
    expect(turned({ ...roll, directionDeg: 0 }, -1)).toEqual({ kind: 'roll', directionDeg: 135 });
    expect(turned({ kind: 'rub', face: 1, count: 40 }, 1)).toEqual({ kind: 'rub', count: 60 });
    expect(turned({ kind: 'rub', face: 1, count: 100 }, 1)).toEqual({ kind: 'rub', count: 20 });
    expect(turned({ kind: 'throw', count: 12 }, -1)).toEqual({ kind: 'throw', count: 6 });
    expect(turned({ kind: 'shock', rounds: 4 }, 1)).toEqual({ kind: 'shock', count: 1 });
    expect(turned({ kind: 'wet', face: 1, water: 'hot' }, 1)).toEqual({ kind: 'wet', water: 'warm' });
    expect(turned(null, 1)).toEqual({ kind: 'roll', directionDeg: 45 });
    // A count that is none of the usual goes on to one that is.
    expect(turned({ kind: 'rub', face: 1, count: 15 }, 1)).toEqual({ kind: 'rub', count: 20 });
  });
});

describe('words at the bench', () => {
  const ACTS: Readonly<Record<ActKind, Act>> = {
    wet: { kind: 'wet', face: 1, water: 'hot' },
    rub: { kind: 'rub', face: 2, count: 40 },
    roll: { kind: 'roll', face: 1, directionDeg: 135, rolls: 20, cushion: 'bare', pressure: 'hard' },
    throw: { kind: 'throw', count: 12 },
    shock: { kind: 'shock', rounds: 2 },
    measure: { kind: 'measure', readings: { A: 412, B: null } },
    pinch: { kind: 'pinch', grade: 3 },
    note: { kind: 'note', text: 'The phone rang.' },
    weigh: { kind: 'weigh', pile: '1.1.1.1', woolId: null, grams: 12, plannedG: 12, tareG: 0 },
    lay: { kind: 'lay', step: 'lay.1.1', how: 'done' },
    undo: { kind: 'undo', of: 'x' },
    water: { kind: 'water', water: 'hot' },
    look: { kind: 'look', wetness: 'pools', foam: null },
    test: { kind: 'test', test: 'bend', grade: 2 },
    thickness: { kind: 'thickness', thicknessMm: 3.5, grams: null },
    open: { kind: 'open', what: 'resist-out' },
    fault: { kind: 'fault', fault: 'thin', at: null },
    step: { kind: 'step', step: 's1', how: 'skipped' },
    mended: { kind: 'mended', of: 'x' },
    palms: { kind: 'palms', minutes: 2 },
    bead: { kind: 'bead', minutes: 1, give: 0.5, feel: true },
    stocking: { kind: 'stocking', minutes: 1.5 },
    shake: { kind: 'shake', minutes: 3 },
    board: { kind: 'board', minutes: 3 },
    handRub: { kind: 'handRub', minutes: 20 },
    tube: { kind: 'tube', minutes: 75 },
    stir: { kind: 'stir', minutes: 5 },
    machine: { kind: 'machine', cycles: 1 },
    compare: { kind: 'compare', at: 'half' },
    edge: { kind: 'edge', minutes: 2 },
    inside: { kind: 'inside', minutes: 3 },
    pat: { kind: 'pat', minutes: 3 },
    squeeze: { kind: 'squeeze', minutes: 2 },
    needle: { kind: 'needle', minutes: 5 },
    turnOver: { kind: 'turnOver' },
    turnOut: { kind: 'turnOut' },
    airOut: { kind: 'airOut' },
    onForm: { kind: 'onForm' },
    edgesIn: { kind: 'edgesIn' },
    trim: { kind: 'trim' },
    cutDry: { kind: 'cutDry' },
    addWool: { kind: 'addWool', woolId: 'kelp', grams: 2.5, at: null },
    mark: { kind: 'mark', piece: 5, as: 'soft', next: 6 },
    picture: { kind: 'picture', hash: 'a'.repeat(64), small: 'b'.repeat(64), widthPx: 4, heightPx: 3 },
    finish: { kind: 'finish', step: 'shape', how: 'done', on: 'bowl' },
    pieceDone: { kind: 'pieceDone', piece: 5, next: null },
    takeUp: { kind: 'takeUp', piece: 7 },
  };

  it.each([
    ['wet', 'Wet with hot water, side 1'],
    ['rub', 'Rub 40, side 2'],
    ['roll', 'Roll 20 other diagonal, side 1'],
    ['throw', 'Throw 12'],
    ['shock', 'Hot and cold, 2 times'],
    ['measure', 'Measured A 41.2 cm'],
    ['pinch', 'Pinch: nothing lifts'],
    ['note', 'The phone rang.'],
    ['undo', 'Undone'],
    ['water', 'Hot water again'],
    ['look', 'Checked: pools of water'],
    ['test', 'Bend: springs back'],
    ['thickness', 'Thickness 3.5 mm'],
    ['open', 'Resist taken out'],
    ['fault', 'Problem: a thin spot or a hole'],
    ['mended', 'Mended'],
    ['edge', 'Rub the edges with soap, 2 min'],
    ['inside', 'Work the inside, 3 min'],
    ['needle', 'Work it with the felting needle, 5 min'],
    ['turnOver', 'Turn it over'],
    ['turnOut', 'Turn it inside out'],
    ['airOut', 'Let a little air out'],
    ['cutDry', 'Cut ears, mouths or slits, dry'],
    ['edgesIn', 'Fold the edges in and rub them down'],
    ['addWool', 'Wool added, 2.5 g'],
    ['mark', 'Piece 5 put aside: still soft'],
    ['pieceDone', 'Piece 5 done'],
    ['takeUp', 'Piece 7 taken up'],
    ['palms', 'Roll in the palms, 2 min'],
    ['bead', 'Roll small in the palms, by feel'],
    ['tube', 'Roll on the tube, 1 h 15 min'],
    ['machine', 'Machine wash at 40 °C, once'],
    ['compare', 'By the drawing: about half way'],
  ] as const)('%s is “%s”', (kind, words) => {
    expect(
      actWords(ACTS[kind], { faces: 2, isSolid: false, units: 'metric', faultName, testWords, markWords }),
    ).toBe(words);
  });

  it('does not speak of faces where there is one', () => {
    const of = (faces: number, isSolid = false) =>
      ({ faces, isSolid, units: 'metric', faultName, testWords, markWords }) as const;
    expect(actWords(ACTS.wet, of(1))).toBe('Wet with hot water');
    expect(proposalWords(ROLL, of(1))).toBe('Roll 30 crosswise');
    expect(proposalWords(ROLL, of(2))).toBe('Roll 30 crosswise, side 2');
    // A ball is rolled every way.
    expect(proposalWords(ROLL, of(1, true))).toBe('Roll 30, every way');
  });

  it('has a reason for every advice', () => {
    const reasons: readonly Reason[] = [
      'dry-face',
      'no-skin-yet',
      'skin-to-test',
      'measure-due',
      'least-worked',
      'direction-lags',
      'nearly-there',
      'size-reached-soft',
      'size-and-firm',
      'too-small',
    ];
    const words = reasons.map(reason =>
      proposalReason({ act: 'measure', reason }, { units: 'metric', way: BUNDLE }),
    );
    expect(new Set(words).size).toBe(reasons.length);
    for (const text of words) expect(text).toMatch(/\.$/);
  });

  it('turns the arrow the way the roll goes on the table', () => {
    expect(turnOfLine(tableAngle('right', 0))).toBe(0);
    expect(turnOfLine(tableAngle('right', 90))).toBe(90);
    expect(turnOfLine(tableAngle('up', 0))).toBe(90);
    expect(turnOfLine(tableAngle('down', 90))).toBe(0);
    expect(turnOfLine(tableAngle('right', 45))).toBe(45);
    expect(turnOfLine(tableAngle('up', 45))).toBe(135);
  });
});
