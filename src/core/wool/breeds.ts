/** How readily a fibre felts, from quick to never. */
export type Felts = 'quick' | 'well' | 'slowly' | 'hardly' | 'never';

/** What a fibre is known for. All of it is common practice, no published source; every fleece differs. */
export interface Breed {
  readonly id: string;
  readonly name: string;
  /** Other words it is called by, lower case. */
  readonly also?: readonly string[];
  /** Usual fineness, micrometres; null for what is not measured so. */
  readonly micron: readonly [number, number] | null;
  readonly felts: Felts;
  /** Coarse hair beside the wool: it works its way out and sheds. */
  readonly hairy?: boolean;
}

/** Fibres that felters know: common practice, fineness from memory. */
export const BREEDS: readonly Breed[] = [
  { id: 'merino', name: 'Merino', also: ['fine merino'], micron: [17, 22], felts: 'quick' },
  { id: 'polwarth', name: 'Polwarth', micron: [22, 25], felts: 'quick' },
  { id: 'corriedale', name: 'Corriedale', micron: [25, 31], felts: 'well' },
  { id: 'crossbred', name: 'Crossbred', also: ['cross-bred', 'halfbred'], micron: [24, 30], felts: 'well' },
  { id: 'shetland', name: 'Shetland', micron: [22, 30], felts: 'well' },
  { id: 'finn', name: 'Finn', also: ['finnsheep'], micron: [23, 31], felts: 'well' },
  { id: 'gotland', name: 'Gotland', micron: [27, 34], felts: 'well' },
  { id: 'norwegian', name: 'Norwegian crossbred', also: ['norwegian'], micron: [30, 36], felts: 'quick' },
  { id: 'bergschaf', name: 'Mountain sheep', also: ['bergschaf', 'tyrol'], micron: [31, 38], felts: 'well' },
  { id: 'icelandic', name: 'Icelandic', micron: [24, 31], felts: 'quick', hairy: true },
  { id: 'karakul', name: 'Karakul', micron: [29, 37], felts: 'quick', hairy: true },
  { id: 'jacob', name: 'Jacob', micron: [27, 35], felts: 'well' },
  { id: 'romney', name: 'Romney', micron: [31, 36], felts: 'well' },
  { id: 'leicester', name: 'Bluefaced Leicester', also: ['leicester'], micron: [24, 28], felts: 'well' },
  { id: 'wensleydale', name: 'Wensleydale', micron: [30, 36], felts: 'slowly' },
  { id: 'lincoln', name: 'Lincoln Longwool', also: ['lincoln'], micron: [33, 42], felts: 'slowly' },
  { id: 'cheviot', name: 'Cheviot', micron: [27, 33], felts: 'slowly' },
  { id: 'southdown', name: 'Southdown', also: ['down breed'], micron: [23, 29], felts: 'hardly' },
  { id: 'hampshire', name: 'Hampshire Down', also: ['hampshire'], micron: [25, 31], felts: 'hardly' },
  { id: 'suffolk', name: 'Suffolk', micron: [26, 33], felts: 'hardly' },
  { id: 'dorset', name: 'Dorset', micron: [26, 32], felts: 'hardly' },
  { id: 'alpaca', name: 'Alpaca', micron: [18, 30], felts: 'slowly', hairy: true },
  { id: 'mohair', name: 'Mohair', micron: [24, 38], felts: 'slowly', hairy: true },
  { id: 'camel', name: 'Camel down', also: ['camel'], micron: [17, 22], felts: 'slowly' },
  { id: 'yak', name: 'Yak down', also: ['yak'], micron: [16, 20], felts: 'slowly' },
  { id: 'silk', name: 'Silk', also: ['tussah'], micron: null, felts: 'never' },
  { id: 'viscose', name: 'Viscose', also: ['bamboo', 'modal', 'rayon'], micron: null, felts: 'never' },
  { id: 'linen', name: 'Linen', also: ['flax', 'hemp', 'ramie'], micron: null, felts: 'never' },
  { id: 'cotton', name: 'Cotton', micron: null, felts: 'never' },
  {
    id: 'synthetic',
    name: 'Synthetic',
    also: ['nylon', 'polyester', 'acrylic'],
    micron: null,
    felts: 'never',
  },
];

const words = (text: string): string => ` ${text.toLowerCase().replace(/[^a-zà-ž]+/g, ' ')} `;

/**
 * The breed or fibre that a felter's words mean: the longest name found in them; null when none is known.
 * @example breedOf('Corriedale, carded') // corriedale
 */
export const breedOf = (text: string): Breed | null => {
  const given = words(text);
  const found = BREEDS.flatMap(breed =>
    [breed.name, ...(breed.also ?? [])].map(name => ({ breed, name: words(name) })),
  ).filter(({ name }) => given.includes(name));
  return found.toSorted((a, b) => b.name.length - a.name.length)[0]?.breed ?? null;
};
