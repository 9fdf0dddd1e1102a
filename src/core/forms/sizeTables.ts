import type { SizeTable } from './formKind';

/** A Paris point is two thirds of a centimetre of last length; the last is so much longer than the foot. */
const PARIS_POINT_MM = 20 / 3;
const LAST_OVER_FOOT_MM = 15;
/** A barleycorn is a third of an inch; UK adult sizes count from 25 barleycorns of last length. */
const BARLEYCORN_MM = 25.4 / 3;
const UK_ZERO = 25;
const UK_LAST_OVER_FOOT_MM = 2 * BARLEYCORN_MM;

/** UK size of a foot length, to the nearest half; child sizes end at 13½, where adult sizes begin again at 1. */
export const ukSize = (footMm: number): string => {
  const size = Math.round(2 * ((footMm + UK_LAST_OVER_FOOT_MM) / BARLEYCORN_MM - UK_ZERO)) / 2;
  return size >= 1 ? `UK ${size}` : `UK child ${size + 13}`;
};

/** Foot length of a continental shoe size, mm. */
const footOfParisPoints = (size: number): number => size * PARIS_POINT_MM - LAST_OVER_FOOT_MM;

/**
 * Foot lengths of shoe sizes. Source: Paris point = 2/3 cm and barleycorn = 1/3 in of last length, ISO/TS 19407
 * (from memory); the last 15 mm (two barleycorns) longer than the foot is common practice. Measuring the foot is better.
 */
export const SHOE_SIZES: SizeTable = {
  name: 'shoe size',
  source:
    'Paris points of 2/3 cm and barleycorns of 1/3 in, ISO/TS 19407 (from memory); a last 15 mm longer than the foot is common practice. Sizes differ between makers: measure the foot where you can.',
  rows: Array.from({ length: 31 }, (_, i) => {
    const size = 18 + i;
    const mm = footOfParisPoints(size);
    return { text: `EU ${size} · ${ukSize(mm)}`, mm };
  }),
};

/** Head girths by who wears it: common practice, no published source. */
export const HEAD_SIZES: SizeTable = {
  name: 'head size',
  source: 'common practice, no published source; measure the head where you can',
  rows: [
    { text: 'baby', mm: 440 },
    { text: 'child of 2–4', mm: 500 },
    { text: 'child of 5–8', mm: 520 },
    { text: 'small', mm: 550 },
    { text: 'medium', mm: 570 },
    { text: 'large', mm: 590 },
    { text: 'very large', mm: 610 },
  ],
};

/** Hand girths of glove sizes: the size is the girth round the knuckles in inches (common practice, from memory). */
export const GLOVE_SIZES: SizeTable = {
  name: 'glove size',
  source: 'the size is the girth round the knuckles in inches; common practice, from memory',
  rows: Array.from({ length: 13 }, (_, i) => {
    const size = 5 + i / 2;
    return { text: `size ${size}`, mm: size * 25.4 };
  }),
};
