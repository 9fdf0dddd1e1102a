/** Steps of finishing, in the order in which they usually come. All figures and reasons are common practice, no published source. */
export const FINISH_STEPS = [
  'rinse',
  'soak',
  'rinseOut',
  'towel',
  'shape',
  'flat',
  'dry',
  'trimFuzz',
  'cutDry',
  'steam',
  'ironOn',
  'record',
  'stiffen',
  'glue',
  'sew',
  'string',
] as const;
export type FinishStep = (typeof FINISH_STEPS)[number];

/** What a piece dries in: over warm air, in the sun or wind, in a room, somewhere cool or damp. */
export const AIRS = ['warm', 'sun', 'room', 'cool'] as const;
export type Air = (typeof AIRS)[number];

/** What a piece dries on. */
export const DRIES_ON = [
  'flat',
  'itself',
  'bowl',
  'balloon',
  'bags',
  'cone',
  'bottle',
  'last',
  'bands',
  'stick',
  'pencils',
] as const;
export type DriesOn = (typeof DRIES_ON)[number];

export const DRIES_ON_WORDS: Readonly<Record<DriesOn, string>> = {
  flat: 'flat',
  itself: 'nothing, hung or standing',
  bowl: 'a bowl',
  balloon: 'a balloon',
  bags: 'stuffed bags',
  cone: 'a paper cone',
  bottle: 'a bottle',
  last: 'a last or head block',
  bands: 'bands round its throat',
  stick: 'a stick, for a curl',
  pencils: 'pencils between the petals',
};
export const AIR_WORDS: Readonly<Record<Air, string>> = {
  warm: 'over warm air',
  sun: 'in sun or wind',
  room: 'in a room',
  cool: 'somewhere cool or damp',
};

/** One step of finishing, as it is told. */
export interface FinishSpec {
  /** In a list of steps. */
  readonly name: string;
  /** What to do, in one sentence. */
  readonly doing: string;
  /** As it stands in the log. */
  readonly done: string;
  /** Minutes that it is left alone once begun; null where it is done at once, `dry` where its drying is predicted. */
  readonly wait: number | 'dry' | null;
  readonly caution?: string;
}

const DAY = 24 * 60;

export const FINISH: Readonly<Record<FinishStep, FinishSpec>> = {
  rinse: {
    name: 'rinse until clear',
    doing: 'Rinse it until the water is clear. Squeeze, never wring.',
    done: 'Rinsed',
    wait: null,
  },
  soak: {
    name: 'vinegar soak',
    doing: 'Soak it in cold water with a dash of white vinegar.',
    done: 'Soaked in vinegar water',
    wait: 15,
    caution: 'A tablespoon to a litre is enough. Keep vinegar away from eyes and from bleach.',
  },
  rinseOut: {
    name: 'rinse the vinegar out',
    doing: 'Rinse the vinegar out.',
    done: 'Rinsed the vinegar out',
    wait: null,
  },
  towel: {
    name: 'roll in a towel',
    doing: 'Roll it in a towel and press the water out.',
    done: 'Rolled in a towel',
    wait: null,
  },
  shape: {
    name: 'shape',
    doing: 'Pull it into shape on what it dries on.',
    done: 'Shaped',
    wait: null,
  },
  flat: {
    name: 'press flat with steam',
    doing: 'Press it flat under a rolling pin, with steam.',
    done: 'Pressed flat with steam',
    wait: null,
    caution: 'Steam scalds. Dry your hands before you touch an iron, away from the wet bench.',
  },
  dry: { name: 'dry', doing: 'Leave it to dry.', done: 'Dried', wait: 'dry' },
  trimFuzz: {
    name: 'trim the fuzz',
    doing: 'Trim the fuzz with scissors or a razor.',
    done: 'Fuzz trimmed',
    wait: null,
    caution: 'Cut away from your other hand.',
  },
  cutDry: {
    name: 'cut ears, mouths or slits',
    doing: 'Cut ears, mouths or slits now that it is dry.',
    done: 'Cut ears, mouths or slits, dry',
    wait: null,
    caution: 'Cut away from your other hand, on a board. An adult cuts for children.',
  },
  steam: {
    name: 'steam or iron',
    doing: 'Steam or iron it, through a cloth.',
    done: 'Steamed or ironed',
    wait: null,
    caution: 'Steam scalds. Dry your hands before you touch an iron, away from the wet bench.',
  },
  ironOn: {
    name: 'iron-on backing',
    doing: 'Iron the backing on, through a cloth.',
    done: 'Backing ironed on',
    wait: null,
    caution: 'Follow the maker’s label of the backing for heat and time.',
  },
  record: {
    name: 'measure and weigh it dry',
    doing: 'Measure and weigh it, dry.',
    done: 'Measured and weighed, dry',
    wait: null,
  },
  stiffen: {
    name: 'stiffen',
    doing: 'Brush or dip it in stiffener, and let it set in its shape.',
    done: 'Stiffened',
    wait: DAY / 2,
    caution: 'Air the room, and follow the label of the stiffener.',
  },
  glue: {
    name: 'glue',
    doing: 'Glue it. Hold each place for 20 to 30 seconds.',
    done: 'Glued',
    wait: DAY,
    caution: 'Air the room. How long it sets is on the label of the glue.',
  },
  sew: {
    name: 'sew on',
    doing: 'Sew on what belongs to it: buttons, clasp, brooch back.',
    done: 'Sewn on',
    wait: null,
  },
  string: {
    name: 'string or wire',
    doing: 'Put it on its string or wire.',
    done: 'Strung',
    wait: null,
    caution: 'No beads or strings for children under three: they choke and strangle.',
  },
};
