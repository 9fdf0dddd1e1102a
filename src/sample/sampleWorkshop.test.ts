import { describe, expect, it } from 'vitest';
import { benchState } from '../core/log/benchState';
import { stageOf } from '../core/log/stageOf';
import { makePlan } from '../core/plan/makePlan';
import { outcome } from '../core/plan/outcome';
import { pieceKind } from '../records/piece';
import { ofKind } from '../records/snapshot';
import { swatchKind } from '../records/swatch';
import { woolKind } from '../records/wool';
import { sampleWorkshop } from './sampleWorkshop';

const { records, entries } = sampleWorkshop('2026-03-01T10:00:00.000Z');
const pieces = ofKind(records, pieceKind);
const wools = ofKind(records, woolKind);
const swatches = ofKind(records, swatchKind);
const logOf = (id: string) => entries.filter(e => e.pieceId === id);

describe('the sample workshop', () => {
  it('has at least six pieces in different stages, wools with swatches, silk and cloth, all marked as sample', () => {
    expect(pieces.length).toBeGreaterThanOrEqual(6);
    expect(new Set(wools.map(w => w.sort))).toEqual(new Set(['wool', 'cloth', 'decoration']));
    expect(swatches.every(s => wools.some(w => w.id === s.woolId))).toBe(true);
    expect(records.every(r => r.sample)).toBe(true);
    expect(new Set(pieces.map(p => stageOf(logOf(p.id), p.result.finishedAt)))).toEqual(
      new Set(['planned', 'bench', 'drying', 'finished']),
    );
  });

  it('every plan is solved, without a warning but a long edge', () => {
    for (const piece of pieces) {
      const plan = makePlan(piece.plan);
      if (!plan.ok) throw new Error(piece.id);
      expect(plan.value.solution.status).toBe('solved');
      expect(plan.value.warnings.filter(w => w.code !== 'EDGE_SURPLUS')).toEqual([]);
    }
  });

  it('only ever shrinks from one measuring to the next', () => {
    for (const piece of pieces) {
      const plan = makePlan(piece.plan);
      if (!plan.ok) throw new Error(piece.id);
      const last = Object.fromEntries(plan.value.form.gauges.map(g => [g.id, Number(g.laidMm)]));
      for (const { readings } of benchState(logOf(piece.id)).readings)
        for (const [id, mm] of Object.entries(readings)) {
          if (mm === null) continue;
          expect(mm).toBeLessThanOrEqual(last[id] ?? 0);
          last[id] = mm;
        }
    }
  });

  // The felting model's own priors for balanced rolls (simulation and common practice): 100: 3 ± 2 %, 200: 9 ± 5,
  // 400: 21 ± 8, 600: 30 ± 9. Mean of the two directions, three standard deviations allowed.
  const PRIOR = [
    [0, 0, 3],
    [100, 3, 2],
    [200, 9, 5],
    [400, 21, 8],
    [600, 30, 9],
    [800, 36, 8],
  ] as const;
  const band = (rolls: number): { mean: number; sd: number } => {
    const i = PRIOR.findIndex(([n]) => n >= rolls);
    const [n1, m1, s1] = PRIOR[i] ?? PRIOR[5];
    const [n0, m0, s0] = PRIOR[Math.max(0, i - 1)] ?? PRIOR[0];
    const part = n1 === n0 ? 0 : (rolls - n0) / (n1 - n0);
    return { mean: m0 + part * (m1 - m0), sd: s0 + part * (s1 - s0) };
  };

  it('shrinks as the model would have it for so many rolls', () => {
    for (const piece of pieces) {
      const plan = makePlan(piece.plan);
      if (!plan.ok) throw new Error(piece.id);
      for (const reading of benchState(logOf(piece.id)).readings) {
        const shares = plan.value.form.gauges.map(
          g => 100 * (1 - (reading.readings[g.id] ?? g.laidMm) / g.laidMm),
        );
        const shrunk = shares.reduce((a, b) => a + b, 0) / shares.length;
        const { mean, sd } = band(reading.rollsBefore);
        expect(Math.abs(shrunk - mean)).toBeLessThan(3 * sd + 1);
      }
    }
  });

  it('finished pieces came out near their plan: size within 6 %, firmness within 20 %', () => {
    const finished = pieces.filter(p => p.result.finishedAt !== null);
    expect(finished.length).toBeGreaterThan(1);
    for (const piece of finished) {
      const plan = makePlan(piece.plan);
      if (!plan.ok) throw new Error(piece.id);
      const came = outcome(plan.value.form, piece.result, plan.value.laidGramsEach);
      for (const g of came.gauges) expect(Math.abs((g.dryMm ?? 0) / g.gauge.wantedMm - 1)).toBeLessThan(0.06);
      expect(Math.abs((came.density ?? 0) / (plan.value.values.firmness ?? 1) - 1)).toBeLessThan(0.2);
      expect(came.keptShare).toBeGreaterThan(0.94);
      expect(came.keptShare).toBeLessThanOrEqual(1);
    }
  });
});
