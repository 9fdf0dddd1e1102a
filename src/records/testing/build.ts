import type { Act } from '../../core/acts/act';
import { disc } from '../../core/forms/kinds/disc';
import { newPlan } from '../../core/plan/newPlan';
import type { StoredRecord } from '../common';
import { type Entry, ENTRY_VERSION } from '../entry';
import { newPiece, type Piece } from '../piece';
import type { Snapshot } from '../snapshot';
import { newSwatch, type Swatch } from '../swatch';
import { newWool, type Wool } from '../wool';

/** When everything that tests build was made, unless they say otherwise. */
export const NOW = '2026-03-01T10:00:00.000Z';
export const LATER = '2026-03-02T10:00:00.000Z';

/** A flat disc, as it begins. */
export const aPiece = (id: string, more: Partial<Piece> = {}): Piece => ({
  ...newPiece({ id, name: `Piece ${id}`, now: NOW, plan: newPlan(disc) }),
  ...more,
});

export const aWool = (id: string, more: Partial<Wool> = {}): Wool => ({
  ...newWool({ id, name: id, fibre: '', form: 'batt', colour: '#aabbcc', now: NOW }),
  ...more,
});

export const aSwatch = (id: string, woolId: string, more: Partial<Swatch> = {}): Swatch => ({
  ...newSwatch({ id, woolId, now: NOW }),
  ...more,
});

/** A set of thirty, as most of the bench is. */
export const A_SET: Act = {
  kind: 'roll',
  face: 1,
  directionDeg: 0,
  rolls: 30,
  cushion: 'bubble',
  pressure: 'arms',
};

/** An act on its way into a log. */
export const sent = (id: string, pieceId = 'p1', act: Act = A_SET) => ({ id, pieceId, at: NOW, act });

/** An act in its place. */
export const anEntry = (id: string, seq: number, pieceId = 'p1', act: Act = A_SET): Entry => ({
  kind: 'entry',
  version: ENTRY_VERSION,
  seq,
  ...sent(id, pieceId, act),
});

/** Records and entries as a whole workshop. */
export const aSnapshot = (records: readonly StoredRecord[], entries: readonly Entry[] = []): Snapshot => ({
  records,
  entries,
  unread: [],
});
