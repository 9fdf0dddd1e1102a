import { describe, expect, it } from 'vitest';
import { type TrainingPiece, trainingPiecesOf } from './trainingPieces';

const piece = (id: string, woolId: string | null, day: number | null, deleted = false): TrainingPiece => ({
  id,
  woolId,
  deletedAt: deleted ? '2026-03-01T10:00:00.000Z' : null,
  finishedAt: day === null ? null : `2026-02-${String(day).padStart(2, '0')}T10:00:00.000Z`,
});
const breedIdOf = (woolId: string | null): string =>
  ({ fog: 'merino', mist: 'merino', peat: 'gotland' })[woolId ?? ''] ?? '';
const ids = (of: readonly TrainingPiece[]): string[] => of.map(p => p.id);

describe('whom a piece learns from', () => {
  it('is the same wool first, then the same breed, then the rest, the latest first', () => {
    const all = [
      piece('other', 'peat', 28),
      piece('breed', 'mist', 20),
      piece('old', 'fog', 1),
      piece('new', 'fog', 9),
      piece('unknown', 'lent', 27),
    ];
    expect(ids(trainingPiecesOf({ id: 'me', woolId: 'fog' }, all, breedIdOf))).toEqual([
      'new',
      'old',
      'breed',
      'other',
      'unknown',
    ]);
    // Wools of no known breed are not of one breed.
    expect(ids(trainingPiecesOf({ id: 'me', woolId: 'found' }, all, breedIdOf))[0]).toBe('other');
  });

  it('is never itself, nor what is unfinished, deleted, or of no wool', () => {
    const all = [
      piece('me', 'fog', 3),
      piece('a', 'fog', null),
      piece('b', 'fog', 4, true),
      piece('c', null, 5),
    ];
    expect(trainingPiecesOf({ id: 'me', woolId: 'fog' }, all, breedIdOf)).toEqual([]);
  });

  it('is no more than two dozen', () => {
    const all = Array.from({ length: 60 }, (_, i) =>
      piece(`p${i}`, i % 2 === 0 ? 'fog' : 'peat', 1 + (i % 28)),
    );
    const found = trainingPiecesOf({ id: 'me', woolId: 'fog' }, all, breedIdOf);
    expect(found).toHaveLength(24);
    expect(found.every(p => p.woolId === 'fog')).toBe(true);
  });
});
