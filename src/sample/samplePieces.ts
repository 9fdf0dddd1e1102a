import type { Act } from '../core/acts/act';
import { bottleSleeve } from '../core/forms/kinds/bottleSleeve';
import { cosy } from '../core/forms/kinds/cosy';
import { ball } from '../core/forms/kinds/ball';
import { disc } from '../core/forms/kinds/disc';
import { freeSheet } from '../core/forms/kinds/freeSheet';
import type { FormKind, Measures } from '../core/forms/formKind';
import { girthStations } from '../core/forms/kinds/girthStations';
import { gridRelief } from '../core/forms/kinds/gridRelief';
import { mitten } from '../core/forms/kinds/mitten';
import { rectangle } from '../core/forms/kinds/rectangle';
import type { DrawnOutline } from '../core/outline/drawn';
import type { PlanInput } from '../core/plan/planInput';
import { finish, measure, pinch, roll, round, rub, type SampleStep, wet } from './steps';

/** A made-up piece: what was decided, what was done, how it came out. */
export interface SamplePiece {
  readonly id: string;
  readonly name: string;
  readonly kind: FormKind;
  readonly measures?: Measures;
  readonly outline?: DrawnOutline;
  readonly woolId: string;
  readonly change?: Partial<PlanInput>;
  readonly hoursAgo: number;
  readonly notes?: string;
  readonly steps?: readonly SampleStep[];
  /** What was done once it was felted, and how many hours ago. */
  readonly finish?: ReadonlyArray<readonly [hoursAgo: number, act: Act]>;
  /** How it came out, for those that are finished: shrinkage each way, share of the wool kept, firmness. */
  readonly dry?: {
    readonly along: number;
    readonly across: number;
    readonly kept: number;
    readonly thicknessMm: number;
  };
}

const ONE = [1];
const TWO = [1, 2];

/** Pieces of the made-up workshop, in every stage. Every name and figure is invented, and agrees with the model. */
export const PIECES: readonly SamplePiece[] = [
  {
    id: 'sample-ferry-pad',
    name: 'Seat pad for the ferry bench',
    kind: disc,
    measures: { diameter: 380, strip: 0 },
    woolId: 'wool-oat',
    hoursAgo: 700,
    notes: 'Came out a little long. Four more rounds on the bare mat next time.',
    steps: [
      wet(1),
      rub(1),
      rub(1),
      pinch(2),
      ...round(60, ONE),
      measure(0.06, 0.05),
      ...round(100, ONE),
      measure(0.17, 0.15),
      ...round(100, ONE, 'mat'),
      ...round(60, ONE, 'bare'),
      measure(0.29, 0.27),
      pinch(3),
      { kind: 'throw', count: 24 },
      measure(0.31, 0.29),
    ],
    finish: [
      [696, finish('rinse', 'again', { water: 'warm' })],
      [695.9, finish('rinse', 'done', { water: 'cold' })],
      [695.8, finish('towel', 'done')],
      [695.7, finish('flat', 'done')],
      [695.6, finish('dry', 'begun', { air: 'room' })],
      [663, finish('dry', 'done')],
    ],
    dry: { along: 0.315, across: 0.296, kept: 0.965, thicknessMm: 7.4 },
  },
  {
    id: 'sample-brick-sleeve',
    name: 'Brick bottle sleeve',
    kind: bottleSleeve,
    measures: { body: 255, height: 205, shoulder: 45, neck: 135, collar: 30, ease: 0 },
    woolId: 'wool-brick',
    hoursAgo: 420,
    change: { shrinkage: { along: 0.36, across: 0.33 } },
    notes: 'Good on the flask. Shoulder was thin: more wool there.',
    steps: [
      wet(1),
      wet(2),
      rub(1),
      rub(2),
      pinch(2),
      ...round(50, TWO),
      measure(0.08, 0.07),
      ...round(60, TWO),
      measure(0.21, 0.19),
      { kind: 'open', what: 'cut' },
      { kind: 'open', what: 'resist-out' },
      ...round(60, TWO, 'mat'),
      measure(0.31, 0.29),
      pinch(3),
      { kind: 'throw', count: 24 },
      { kind: 'shock', rounds: 2 },
      measure(0.36, 0.34),
    ],
    dry: { along: 0.364, across: 0.338, kept: 0.97, thicknessMm: 3.6 },
  },
  {
    id: 'sample-galley-mat',
    name: 'Round mat for the galley',
    kind: disc,
    measures: { diameter: 220, strip: 0 },
    woolId: 'wool-harbour',
    hoursAgo: 13,
    change: { shrinkage: { along: 0.29, across: 0.28 }, chain: { layers: 4, thickness: 4, firmness: 0.22 } },
    steps: [
      wet(1),
      rub(1),
      rub(1),
      pinch(2),
      ...round(80, ONE),
      measure(0.1, 0.09),
      ...round(100, ONE, 'mat'),
      measure(0.22, 0.21),
      ...round(60, ONE, 'bare'),
      measure(0.29, 0.28),
      pinch(3),
    ],
    finish: [
      [9.6, finish('rinse', 'again', { water: 'warm' })],
      [9.5, finish('rinse', 'done', { water: 'cold' })],
      [9.4, finish('soak', 'begun')],
      [9.1, finish('soak', 'done')],
      [9.0, finish('rinseOut', 'done', { water: 'cold' })],
      [8.9, finish('towel', 'done')],
      [8.8, finish('flat', 'done')],
      [8.7, finish('dry', 'begun', { air: 'room' })],
    ],
  },
  {
    id: 'sample-kelp-cosy',
    name: 'Kelp cosy, four cups',
    kind: cosy,
    measures: { girth: 540, crown: 130, height: 110, hem: 580, ease: 0 },
    woolId: 'wool-kelp',
    hoursAgo: 5,
    steps: [
      wet(1),
      wet(2),
      rub(1),
      rub(2),
      pinch(1),
      rub(1),
      rub(2),
      pinch(2),
      ...round(50, TWO),
      measure(0.09, 0.08),
      ...round(40, TWO),
      roll(0, 30, { face: 1 }),
      roll(90, 30, { face: 1 }),
      measure(0.2, 0.17),
      roll(0, 30, { face: 2 }),
      roll(90, 30, { face: 2 }),
    ],
  },
  {
    id: 'sample-square-pad',
    name: 'Square pad, second of a pair',
    kind: rectangle,
    measures: { length: 400, width: 400, strip: 0 },
    woolId: 'wool-oat',
    hoursAgo: 30,
    change: { shrinkage: { along: 0.31, across: 0.29 }, chain: { layers: 6, thickness: 7, firmness: 0.24 } },
    notes: '',
    steps: [
      wet(1),
      rub(1),
      rub(1),
      pinch(2),
      roll(0, 100),
      roll(90, 60),
      measure(0.07, 0.05),
      roll(0, 120),
      roll(90, 60),
      roll(0, 60),
      measure(0.22, 0.12),
    ],
  },
  {
    id: 'sample-lamp-band',
    name: 'Lamp band for the loft',
    kind: rectangle,
    measures: { length: 620, width: 190, strip: 12 },
    woolId: 'wool-harbour',
    hoursAgo: 2,
    change: { shrinkage: { along: 0.28, across: 0.28 }, chain: { layers: 4, thickness: 3, firmness: 0.18 } },
    steps: [wet(1), rub(1)],
  },
  {
    id: 'sample-boot-liner',
    name: 'Boot liner, left leg',
    kind: girthStations,
    measures: {
      along1: 0,
      girth1: 200,
      along2: 60,
      girth2: 290,
      along3: 150,
      girth3: 300,
      along4: 260,
      girth4: 250,
      along5: 380,
      girth5: 330,
    },
    woolId: 'wool-kelp',
    hoursAgo: 20,
    change: {
      shrinkage: { along: 0.38, across: 0.35 },
      foldOverMm: 20,
      chain: { layers: 4, thickness: 5, firmness: 0.24 },
    },
  },
  {
    id: 'sample-press-cosy',
    name: 'Cosy for the small press',
    kind: cosy,
    measures: { girth: 330, crown: 70, height: 150, hem: 330, ease: 0 },
    woolId: 'wool-brick',
    hoursAgo: 1,
    change: { chain: { layers: 3, thickness: 4, firmness: 0.2 } },
  },
  {
    id: 'sample-gale-mittens',
    name: 'Gale mittens',
    kind: mitten,
    measures: { hand: 190, girth: 205, wrist: 185, cuff: 70 },
    woolId: 'wool-harbour',
    hoursAgo: 9,
  },
  {
    id: 'sample-drum-balls',
    name: 'Balls for the drying drum',
    kind: ball,
    measures: { diameter: 70, core: 1, cover: 3 },
    woolId: 'wool-oat',
    hoursAgo: 14,
    change: { pieces: 12, chain: { firmness: 0.3 } },
  },
  {
    id: 'sample-lattice-panel',
    name: 'Lattice panel for the stair',
    kind: gridRelief,
    woolId: 'wool-kelp',
    hoursAgo: 26,
  },
  {
    id: 'sample-fern-mat',
    name: 'Fern leaf mat',
    kind: freeSheet,
    measures: { length: 420, width: 190 },
    outline: {
      points: [
        { x: -210, y: 0, round: false },
        { x: -150, y: 42, round: true },
        { x: -110, y: 34, round: false },
        { x: -40, y: 95, round: true },
        { x: 10, y: 70, round: false },
        { x: 90, y: 72, round: true },
        { x: 210, y: 0, round: false },
      ],
      open: [],
      mirrored: true,
    },
    woolId: 'wool-kelp',
    hoursAgo: 31,
  },
];
