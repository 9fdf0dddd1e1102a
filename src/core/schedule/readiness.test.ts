import { describe, expect, it } from 'vitest';
import { normal, seeded } from '../numeric/random';
import { makeSchedule } from './makeSchedule';
import { LOGGED_SD, ownPace, PACE_SHARES, type WorkedPiece } from './ownPace';
import { PHASES, type Phase, practiceMinutes } from './practiceMinutes';
import { drawn, mostReady, readiness } from './readiness';
import { endOf, hours, paced } from './testing/tasks';
import { tasksOfWork } from './workTasks';
import type { Work } from './work';
import { tries } from '../numeric/testing/tries';

const evenings = hours(
  Array.from({ length: 200 }, (_, day): [number, number] => [1440 * day + 1140, 1440 * day + 1260]),
);

describe('how likely a promise is to be ready', () => {
  it('is certain where nothing is unsure, and none where it cannot be', () => {
    const tasks = [paced('a', 60), paced('b', 60, { after: ['a'], waitMin: 600 })];
    const { rank } = makeSchedule(tasks, evenings);
    const of = { work: evenings, rank, draws: 20 };
    const ready = (due: number | null) => readiness(tasks, [{ id: 'p', tasks: ['b'], due }], of)[0];
    // Both in the first evening, over at 21:00; then ten hours.
    expect(ready(1260 + 600)).toMatchObject({ chance: 1, likelyBy: 1860, middle: 1860 });
    expect(ready(1260 + 599)?.chance).toBe(0);
    expect(ready(-5000)?.chance).toBe(0);
    expect(ready(null)).toMatchObject({ chance: null, likelyBy: 1860 });
  });

  it('is null where it has no place in the hours', () => {
    const tasks = [paced('a', 500)];
    const [ready] = readiness(tasks, [{ id: 'p', tasks: ['a'], due: 9000 }], {
      work: hours([[0, 100]]),
      rank: [0],
      draws: 5,
    });
    expect(ready).toMatchObject({ chance: 0, likelyBy: null });
  });

  it('a promise of nothing is kept, and the same work is drawn alike', () => {
    const tasks = [paced('a', 60, { pace: { shared: [], own: 0.5 } })];
    const ask = () =>
      readiness(
        tasks,
        [
          { id: 'p', tasks: [], due: 0 },
          { id: 'q', tasks: ['a'], due: 1200 },
        ],
        {
          work: evenings,
          rank: [0],
        },
      );
    expect(ask()[0]?.chance).toBe(1);
    expect(ask()).toEqual(ask());
  });

  it('what is shared makes all longer alike, what is its own each for itself', () => {
    const shared = [0, 1].map(i =>
      paced(`${i}`, 1000, { pace: { shared: [{ key: 'felt', sd: 0.5 }], own: 0 } }),
    );
    const random = seeded(3);
    for (let i = 0; i < 20; i += 1) {
      const [a, b] = drawn(shared, random);
      expect(a?.minutes).toBe(b?.minutes);
    }
    const own = [0, 1].map(i => paced(`${i}`, 1000, { pace: { shared: [], own: 0.5 } }));
    const [a, b] = drawn(own, random);
    expect(a?.minutes).not.toBe(b?.minutes);
  });

  it('how many can be made is the most for which eight in ten are ready', () => {
    for (let sure = 0; sure <= 40; sure += 1)
      expect(mostReady(40, count => (count <= sure ? 0.8 : 0.79))).toBe(sure);
  });
});

/** Made-up makers whose true paces are drawn as the model believes them: what it says of them must hold as often as it says. */
describe('simulated makers', () => {
  const SEED = 20_261_128;
  const MAKERS = tries(400, 1500);
  /** Four in five of so many: three standard errors. */
  const ASTRAY = 3 * Math.sqrt((0.8 * 0.2) / MAKERS);
  const PRIOR_SD = 0.5;
  const part = (share: number): number => PRIOR_SD * Math.sqrt(share);

  /** One maker: what the finished pieces took, and what the next ones will. */
  const makerOf = (random: () => number) => {
    const maker = Object.fromEntries(PHASES.map(p => [p, part(PACE_SHARES.maker) * normal(random)]));
    const wayOf = Object.fromEntries(PHASES.map(p => [p, part(PACE_SHARES.wool) * normal(random)]));
    const truth = (phase: Phase): number => (maker[phase] ?? 0) + (wayOf[phase] ?? 0);
    const known = Math.floor(6 * random());
    const worked = Array.from({ length: known }, (_, i) =>
      PHASES.map((phase): WorkedPiece => {
        const logged = truth(phase) + part(PACE_SHARES.piece) * normal(random) + LOGGED_SD * normal(random);
        return {
          id: `${i}`,
          way: 'bundle',
          phase,
          grams: 90,
          minutes: practiceMinutes('bundle', phase, 90) * Math.exp(logged),
        };
      }),
    ).flat();
    return { truth, worked };
  };

  it('eight in ten of the ranges hold what hands take, and chances come true as often as they say', () => {
    const random = seeded(SEED);
    let held = 0;
    let said = 0;
    let came = 0;
    const likely: boolean[] = [];
    for (let m = 0; m < MAKERS; m += 1) {
      const { truth, worked } = makerOf(random);
      const work: Work = {
        id: 'w',
        name: 'w',
        way: 'bundle',
        isSolid: false,
        gramsEach: 90,
        count: 3,
        felted: 0,
        phase: 'lay',
        spentMin: 0,
        dryH: 20,
        drySd: 0.3,
        air: 'room',
        soaks: false,
        hasAfter: true,
        dryAt: null,
        due: null,
      };
      const paceOf = (phase: Phase) => ownPace(worked, { phase, way: 'bundle' });
      const { tasks, last } = tasksOfWork(work, { paceOf, sittingMin: 400 });
      // Hands have all day, so that ends are not bunched where an evening ends.
      const allDay = hours([[0, 400_000]], { capacity: { hands: 1, basin: 1, rack: 30 } });
      const { rank } = makeSchedule(tasks, allDay, 0);
      const due = 1200 + 2400 * random();
      const [ready] = readiness(tasks, [{ id: 'p', tasks: last, due }], {
        work: allDay,
        rank,
        draws: 200,
        seed: m + 1,
      });
      // The truth: this maker's own paces, and this room's air, in the same order.
      const dry = Math.exp(0.3 * normal(random));
      const lived = tasks.map(t => {
        const phase: Phase = t.does === 'lay' || t.does === 'felt' || t.does === 'after' ? t.does : 'finish';
        const factor =
          Math.exp(truth(phase) + part(PACE_SHARES.piece) * normal(random)) / paceOf(phase).factor;
        return {
          ...t,
          minutes: t.minutes === 0 ? 0 : Math.max(1, Math.round(t.minutes * factor)),
          waitMin: Math.round(t.waitMin * dry),
        };
      });
      const end = endOf(makeSchedule(lived, allDay, 0).placed);
      if (end >= (ready?.earliest ?? 0) && end <= (ready?.latest ?? 0)) held += 1;
      said += ready?.chance ?? 0;
      came += end <= due ? 1 : 0;
      if ((ready?.chance ?? 0) >= 0.7 && (ready?.chance ?? 0) < 0.9) likely.push(end <= due);
    }
    expect(Math.abs(held / MAKERS - 0.8)).toBeLessThan(ASTRAY);
    expect(Math.abs(said - came) / MAKERS).toBeLessThan(ASTRAY);
    const share = likely.filter(Boolean).length / likely.length;
    expect(likely.length).toBeGreaterThan(MAKERS / 10);
    expect(Math.abs(share - 0.8)).toBeLessThan(3 * Math.sqrt((0.8 * 0.2) / likely.length));
  }, 120_000);
});
