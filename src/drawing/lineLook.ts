import type { Role } from './scene';

/** How a line is drawn wherever it appears: by dash and weight as well as by colour. Lengths in mm on paper. */
export interface LineLook {
  readonly name: string;
  /** Colour on paper; the screen has its own for light and dark. */
  readonly ink: string;
  readonly weightMm: number;
  readonly dashMm: readonly number[];
}

export const LINE_LOOK: Readonly<Record<Role, LineLook>> = {
  laid: { name: 'laid', ink: '#1d4f8c', weightMm: 0.5, dashMm: [6, 2.5] },
  now: { name: 'now', ink: '#7a5b00', weightMm: 0.8, dashMm: [] },
  wanted: { name: 'target', ink: '#a3243b', weightMm: 0.5, dashMm: [0.4, 1.8] },
  wool: { name: 'wool with its fold-over', ink: '#55636b', weightMm: 0.25, dashMm: [] },
  mouth: { name: 'opening, stays open', ink: '#1d4f8c', weightMm: 1.1, dashMm: [] },
  gauge: { name: 'measuring line', ink: '#55636b', weightMm: 0.25, dashMm: [] },
  fold: { name: 'fold line', ink: '#111111', weightMm: 0.3, dashMm: [8, 2, 1, 2] },
  opening: { name: 'cut out of the resist', ink: '#1d4f8c', weightMm: 0.35, dashMm: [] },
  hardest: { name: 'work this edge hardest', ink: '#7a5b00', weightMm: 1.6, dashMm: [1, 3] },
  cut: { name: 'cut', ink: '#111111', weightMm: 0.4, dashMm: [1, 1] },
};
