import type { Breed, Felts } from '../core/wool/breeds';

const FELTS_WORDS: Readonly<Record<Felts, string>> = {
  quick: 'felts quickly',
  well: 'felts well',
  slowly: 'felts slowly',
  hardly: 'hardly felts',
  never: 'does not felt',
};

/** What a fibre is known for, in a line. Common practice. */
export const breedWords = ({ name, felts, micron }: Breed): string =>
  `${name} ${FELTS_WORDS[felts]}${micron ? `; usually ${micron[0]}–${micron[1]} µm` : ''}`;

/** What to mind with a fibre, in words; empty when there is nothing. Common practice. */
export const breedWarnings = ({ felts, hairy }: Breed): readonly string[] => [
  ...(felts === 'never'
    ? ['It does not felt by itself. Lay a thin net of wool over it to hold it.']
    : felts === 'hardly'
      ? ['It hardly felts. Felt a swatch fully before anything is made of it.']
      : felts === 'slowly'
        ? ['It felts slowly: allow time, or blend in a finer wool.']
        : []),
  ...(hairy ? ['It has coarse hair, which works its way out and sheds.'] : []),
];
