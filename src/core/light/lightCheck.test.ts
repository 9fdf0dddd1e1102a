import { describe, expect, it } from 'vitest';
import { box, ellipse } from '../outline/shapes';
import { lightCheck } from './lightCheck';
import { litActs } from './litActs';
import { lightPicture, type LightScene, somePlaces } from './lightScene';
import { LIT_OUTLINES, lightFigures, SMALL_PX } from './testing/scenes';
import { tries } from '../numeric/testing/tries';

/** Seeds other than those it was set on. */
const FIRST_SEED = 5001;
const SCENES = tries(6, 48);

describe('a piece held to the light', () => {
  it('thin places are found and those under half are so, over new scenes of every form; even pieces have hardly any', () => {
    const { read, found, asked, half, trulyHalf, onEven, even } = lightFigures(FIRST_SEED, SCENES);
    expect(read / SCENES).toBeGreaterThanOrEqual(0.9);
    expect(asked).toBeGreaterThan(SCENES);
    expect(found / asked).toBeGreaterThanOrEqual(0.85);
    expect(trulyHalf / half).toBeGreaterThanOrEqual(0.85);
    expect(onEven / even).toBeLessThanOrEqual(0.1);
  }, 120_000);

  const RECTANGLE = [box(400, 300)];
  it.each<readonly [string, Partial<LightScene>, string]>([
    ['on a table there is no light behind it', { onTable: true }, 'LIGHT_NO_BACKDROP'],
    ['cut off by the picture', { beyond: 0.35 }, 'LIGHT_CUT'],
    ['bleached out', { lamp: 1.6 }, 'LIGHT_BLEACHED'],
    ['too thick', { keeps: 9 }, 'LIGHT_DARK'],
    ['hardly there', { keeps: 0.06 }, 'LIGHT_NO_PIECE'],
    ['laid very thinly', { keeps: 0.22 }, 'LIGHT_NO_PIECE LIGHT_CLEAR'],
    ['another piece', { outline: [ellipse(150, 300)] }, 'LIGHT_OTHER_PIECE'],
  ])('%s: it says so, and reads nothing', (_, scene, codes) => {
    for (let seed = FIRST_SEED; seed < FIRST_SEED + tries(1, 3); seed += 1) {
      const got = lightCheck(
        lightPicture({ outline: RECTANGLE, places: [], seed, longPx: SMALL_PX, ...scene }),
        RECTANGLE,
      );
      expect(codes.split(' ')).toContain(got.ok ? 'read' : got.issues[0]?.code);
    }
  });

  it('what it writes down: even, pale spots or holes, and a spot for each place that was chosen', () => {
    const place = { at: { x: 10.4, y: 20 }, acrossMm: 30, share: 0.4, inPicture: { x: 0.5, y: 0.5 } };
    const told = {
      isTurnUnknown: false,
      isMirrored: false,
      isSideUnknown: false,
      isMixed: false,
      outline: [],
    };
    const acts = (share: number, isTurnUnknown = false) => {
      const places = [{ ...place, share }];
      return litActs({ ...told, places, isTurnUnknown }, places, ({ x, y }) => ({ x: -y, y: x }));
    };
    expect(litActs({ ...told, places: [] }, [], p => p)).toEqual([{ kind: 'test', test: 'light', grade: 2 }]);
    expect(acts(0.4)).toEqual([
      { kind: 'test', test: 'light', grade: 1 },
      { kind: 'fault', fault: 'thin', at: { x: -20, y: 10 } },
    ]);
    expect(acts(0.1)[0]).toMatchObject({ grade: 0 });
    expect(acts(0.4, true)[1]).toMatchObject({ at: null });
  });

  it('a thin place is where it is, in the picture and on the outline; turned the other way it says that it may be', () => {
    const outline = LIT_OUTLINES[1] ?? [];
    const [place] = somePlaces(outline, 3);
    if (!place) throw new Error('No room.');
    const got = lightCheck(lightPicture({ outline: [outline], places: [place], seed: FIRST_SEED }), [
      outline,
    ]);
    if (!got.ok) throw new Error(got.issues[0]?.code);
    expect(got.value.places).toHaveLength(1);
    const turned = lightCheck(
      lightPicture({
        outline: RECTANGLE,
        places: [{ at: { x: 120, y: 60 }, acrossMm: 30, share: 0.4 }],
        seed: FIRST_SEED,
      }),
      RECTANGLE,
    );
    expect(turned.ok && turned.value.isTurnUnknown).toBe(true);
    const at = turned.ok ? turned.value.places[0]?.at : null;
    // Whichever way it is turned, it is as far from the middle.
    expect(Math.abs(Math.hypot(at?.x ?? 0, at?.y ?? 0) - Math.hypot(120, 60))).toBeLessThan(8);
  });
});
