import type { IssueCode } from '../../issues';
import { FORM_KINDS } from '../../forms/kinds/registry';
import { isFelt } from '../../forms/fits';
import { normal, type Random, seeded } from '../../numeric/random';
import { scalePoints } from '../../outline/polygon';
import { newPlan } from '../../plan/newPlan';
import { planOf } from '../../plan/planOf';
import type { LineAsked } from '../gaugesRead';
import { isReadable } from '../gaugesRead';
import { measurePhoto } from '../measurePhoto';
import type { LineRead, PhotoAsked } from '../photoAsked';
import type { ReferenceKind } from '../references';
import { photoOf } from '../scene';
import type { PhotoScene } from '../sceneTable';
import { TABLE_KINDS } from '../tableLook';

/** A form as it lies on the table, with its lines that a picture can show. */
interface Lying {
  readonly title: string;
  readonly outline: PhotoScene['outline'];
  readonly lines: readonly LineAsked[];
  /** Length of what is wanted beside what was laid, along the line that shrinks most. */
  readonly least: number;
}

/** Every form that lies flat, up to a metre long. */
export const LYING: readonly Lying[] = FORM_KINDS.flatMap(kind =>
  [kind, ...(kind.also ?? [])].flatMap((offer): Lying[] => {
    const plan = planOf({ ...newPlan(kind, { offer }), pieces: 1 });
    if (!plan.ok || plan.value.form.solid) return [];
    const { form } = plan.value;
    const outline = form.laid.points;
    const lines = form.gauges.filter(isFelt).map(({ id, from, to }) => ({ id, from, to }));
    const readable = lines.filter(l => isReadable(outline, l));
    const long = Math.max(...form.gauges.map(g => g.laidMm));
    if (readable.length === 0 || long > 1000 || long < 120) return [];
    const least = Math.min(...form.gauges.map(g => g.wantedMm / g.laidMm));
    return [{ title: offer.title, outline, lines: readable, least }];
  }),
);

export type SceneClass = 'good' | 'hard' | 'bad';

/** What a picture is beside a good one. */
type More = Partial<PhotoScene>;

const HARD = (random: Random): readonly More[] => [
  { table: 'checked' },
  { tiltDeg: 26 + 7 * random() },
  { card: 'glare' },
  { decoys: 4 },
  { blurPx: 2.2 },
  { felt: [0.62, 0.6, 0.55], tableColour: [0.42, 0.41, 0.39] },
];
/** A picture that says nothing: what is wrong with it, and the reasons that name it. */
export interface BadPicture {
  readonly name: string;
  readonly more: More;
  readonly by: readonly IssueCode[];
}

export const BAD: readonly BadPicture[] = [
  { name: 'no card', more: { card: 'none' }, by: ['PHOTO_NO_REFERENCE'] },
  { name: 'no card, other flat things', more: { card: 'none', decoys: 3 }, by: ['PHOTO_NO_REFERENCE'] },
  { name: 'card on the felt', more: { card: 'onPiece' }, by: ['PHOTO_ON_PIECE'] },
  { name: 'card half covered', more: { card: 'half' }, by: ['PHOTO_NO_REFERENCE'] },
  { name: 'cut off', more: { isCut: true }, by: ['PHOTO_CUT'] },
  { name: 'blurred', more: { blurPx: 11 }, by: ['PHOTO_BLURRED'] },
  { name: 'from the side', more: { tiltDeg: 47 }, by: ['PHOTO_SLANTED'] },
  {
    name: 'pale on pale',
    more: { felt: [0.7, 0.7, 0.67], tableColour: [0.72, 0.72, 0.69], table: 'plain' },
    by: ['PHOTO_UNCLEAR', 'PHOTO_NO_PIECE'],
  },
];

/** A picture by its seed, of a form that lies flat, somewhere between laid and finished. @param moreOf what it is beside a good one */
export const sceneWith = (
  seed: number,
  longPx: number,
  moreOf: (of: { readonly random: Random; readonly reference: ReferenceKind }) => More,
) => {
  const random = seeded(7 * seed + 1);
  const lying = LYING[seed % LYING.length];
  if (!lying) throw new RangeError('No form lies flat.');
  const done = random();
  const share = (): number => 1 - (1 - lying.least) * done * (1 + 0.1 * normal(random));
  const by = { x: share(), y: share() };
  const { x, y } = by;
  const outline = scalePoints(lying.outline, by);
  const long = Math.max(
    ...lying.lines.map(l => Math.hypot((l.to.x - l.from.x) * x, (l.to.y - l.from.y) * y)),
  );
  const reference: ReferenceKind = long > 520 || random() < 0.3 ? (random() < 0.5 ? 'a4' : 'letter') : 'card';
  const thickMm = Math.max(2, 4.5 + 1.1 * normal(random));
  const plain: PhotoScene = {
    outline,
    reference,
    seed,
    longPx,
    thickMm,
    table: TABLE_KINDS[Math.floor(5 * random())] ?? 'plain',
  };
  const more = moreOf({ random, reference });
  const scene: PhotoScene = { ...plain, ...more };
  const asked: PhotoAsked = {
    outline: lying.outline,
    lines: lying.lines,
    shares: [0.86 * lying.least, 1.12],
    reference,
    thickMm: 4.5,
  };
  const truth = new Map(
    lying.lines.map(l => [l.id, Math.hypot((l.to.x - l.from.x) * x, (l.to.y - l.from.y) * y)]),
  );
  return { scene, asked, truth, title: lying.title, more };
};

/** A picture of one class, by its seed: good ones as somebody takes who was told how; hard ones; and such as say nothing. */
export const sceneOf = (kind: SceneClass, seed: number, longPx: number) =>
  sceneWith(seed, longPx, ({ random, reference }) => {
    // Drawn whatever the class, so that what comes after it is drawn alike.
    const hard = HARD(random);
    if (kind === 'good')
      return {
        decoys: random() < 0.3 ? 1 : 0,
        ...(reference === 'card' ? {} : { tableColour: [0.3, 0.27, 0.24] }),
      };
    const among = kind === 'hard' ? hard : BAD.map(b => b.more);
    return among[Math.floor(seed / LYING.length + seed) % among.length] ?? {};
  });

/** What came of one picture. */
export interface PhotoTried {
  readonly seed: number;
  readonly title: string;
  readonly more: string;
  readonly refused: string | null;
  /** Of each line: how far off it is, and within how much it is said to be, as shares. */
  readonly lines: ReadonlyArray<{ readonly off: number; readonly within: number; readonly mm: number }>;
}

/** Makes a picture and measures it. */
export const tryPhoto = (kind: SceneClass, seed: number, longPx: number): PhotoTried =>
  triedScene(sceneOf(kind, seed, longPx));

/** Measures a picture of a scene. @param pixels of it, where something was done to them */
export const triedScene = (
  { scene, asked, truth, title, more }: ReturnType<typeof sceneOf>,
  pixels = photoOf(scene).pixels,
): PhotoTried => {
  const read = measurePhoto(pixels, asked);
  const offOf = (lines: readonly LineRead[]): number =>
    Math.max(...lines.map(l => Math.abs(l.mm / (truth.get(l.id) ?? Number.NaN) - 1)));
  // Whoever took it knows which way it lies, and says so where it does not show.
  const [lines = []] = read.ok
    ? [read.value.lines, ...read.value.turned].toSorted((a, b) => offOf(a) - offOf(b))
    : [];
  return {
    seed: scene.seed,
    title,
    more: Object.keys(more).join(' '),
    refused: read.ok ? null : (read.issues[0]?.code ?? ''),
    lines: lines.map(l => ({
      off: l.mm / (truth.get(l.id) ?? Number.NaN) - 1,
      within: l.within / l.mm,
      mm: l.mm,
    })),
  };
};

/** Figures of many pictures of one class. */
export interface PhotoFigures {
  readonly scenes: number;
  readonly measured: number;
  readonly lines: number;
  /** Errors of lines, as shares: the middle one, and the one that 95 of 100 do not pass. */
  readonly median: number;
  readonly p95: number;
  readonly within1: number;
  readonly covered: number;
  /** Lines over 2 % off that said less. */
  readonly proud: number;
}

export const photoFigures = (tried: readonly PhotoTried[]): PhotoFigures => {
  const lines = tried.flatMap(t => t.lines);
  const offs = lines.map(l => Math.abs(l.off)).toSorted((a, b) => a - b);
  const share = (is: (l: { readonly off: number; readonly within: number }) => boolean): number =>
    lines.length === 0 ? Number.NaN : lines.filter(is).length / lines.length;
  return {
    scenes: tried.length,
    measured: tried.filter(t => t.refused === null).length,
    lines: lines.length,
    median: offs[Math.floor(0.5 * offs.length)] ?? Number.NaN,
    p95: offs[Math.floor(0.95 * offs.length)] ?? Number.NaN,
    within1: share(l => Math.abs(l.off) < 0.01),
    covered: share(l => Math.abs(l.off) <= l.within),
    proud: lines.filter(l => Math.abs(l.off) > 0.02 && l.within < 0.02).length,
  };
};
