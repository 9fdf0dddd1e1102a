import type { Pixels } from '../core/picture/pixels';
import fontUrl from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf?url';
import { forecastPiece } from '../core/felting/forecastPiece';
import { saidBy } from '../core/felting/pooledPrior';
import { inferenceKept } from '../core/felting/infer';
import type { recordRowsKept } from '../core/record/recordRow';
import { issue } from '../core/issues';
import { err, ok, type Result } from '../core/result';
import type { Store } from '../store/store';
import type { JobAnswer, JobRequest, JobName, Jobs } from './protocol';

const inferred = inferenceKept();
let rowsOf: ReturnType<typeof recordRowsKept> | null = null;

const say = (answer: JobAnswer, transfer: Transferable[] = []): void =>
  globalThis.postMessage(answer, { transfer });

const toBase64 = (buffer: ArrayBuffer): string => {
  const bytes = new Uint8Array(buffer);
  let text = '';
  for (let i = 0; i < bytes.length; i += 0x8000)
    text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
};

const font = async (): Promise<string> => toBase64(await (await fetch(fontUrl)).arrayBuffer());

/** What a job gives: its answer, and what of it is handed over instead of copied. */
interface Done<N extends JobName> {
  readonly answer: Jobs[N]['answer'];
  readonly transfer?: Transferable[];
}
type Progress = (done: number, of: number) => void;
type JobRunner = {
  readonly [N in JobName]: (request: Jobs[N]['request'], progress: Progress) => Promise<Done<N>>;
};

const handedOver = (answer: ArrayBuffer) => ({ answer, transfer: [answer] });

const buffersOf = (bytes: Uint8Array): Transferable[] =>
  bytes.buffer instanceof ArrayBuffer ? [bytes.buffer] : [];

/** Does a piece of work over the browser's own database, as another tab would: what it changes is told to the pages that are open. */
const inDatabase = async <T>(name: string, work: (store: Store) => Promise<T>): Promise<Result<T>> => {
  const [{ idbStore }, { storeError }] = await Promise.all([
    import('../store/makeStore'),
    import('../store/storeError'),
  ]);
  try {
    const store = await idbStore({ name, clock: () => new Date().toISOString() });
    try {
      return ok(await work(store));
    } finally {
      store.close();
    }
  } catch (error) {
    return err(storeError(error).issue);
  }
};

/** Reads a picture as it is, with what its file says of the lens; a tenth of the work is getting at its pixels. */
const fromPhoto = async <T>(
  bytes: Uint8Array<ArrayBuffer>,
  progress: (done: number, of: number) => void,
  read: (pixels: Pixels, lens: { readonly focal35?: number }, told: (share: number) => void) => Result<T>,
): Promise<Result<T>> => {
  const { pixelsOf, focalOf, READ_PX } = await import('./pixelsOf');
  progress(0, 10);
  const [pixels, focal35] = await Promise.all([pixelsOf(bytes, READ_PX.measure), focalOf(bytes)]);
  progress(1, 10);
  return pixels.ok
    ? read(pixels.value, focal35 === null ? {} : { focal35 }, share => progress(1 + 9 * share, 10))
    : pixels;
};

/** What is done for each job. Only what the bench asks for is here from the start; all else is fetched when it is wanted. */
const WORK: JobRunner = {
  svgOutlines: async ({ bytes }) => {
    const [{ textOf }, { readSvgOutlines }] = await Promise.all([
      import('../files/textOf'),
      import('../files/svgOutlines'),
    ]);
    const text = textOf(bytes);
    return { answer: text.ok ? readSvgOutlines(text.value) : text };
  },
  blends: async ({ wanted, shelf }) => {
    const { blendsFor } = await import('../core/colour/blend');
    return { answer: blendsFor(wanted, shelf) };
  },
  forecastPiece: async ({ record, goal }) => ({ answer: forecastPiece(record, goal, inferred(record)) }),
  learn: async ({ logs }) => ({ answer: logs.map(saidBy) }),
  evenness: async (request, progress) => {
    const { simulateLayout } = await import('../core/evenness/simulateLayout');
    return { answer: simulateLayout(request, done => progress(done, request.runs)) };
  },
  lightCheck: async ({ bytes, outline }, progress) => {
    const [{ pixelsOf, READ_PX }, { lightCheck }] = await Promise.all([
      import('./pixelsOf'),
      import('../core/light/lightCheck'),
    ]);
    progress(0, 2);
    const pixels = await pixelsOf(bytes, READ_PX.look);
    progress(1, 2);
    return { answer: pixels.ok ? lightCheck(pixels.value, outline) : pixels };
  },
  madeUpLight: async ({ outline, seed }) => {
    const [{ pngOf }, { lightPicture, somePlaces }] = await Promise.all([
      import('./pixelsOf'),
      import('../core/light/lightScene'),
    ]);
    const places = somePlaces(outline[0] ?? [], seed);
    return handedOver(await pngOf(lightPicture({ outline, places, seed })));
  },
  measurePhoto: async ({ bytes, asked }, progress) => {
    const { measurePhoto } = await import('../core/photo/measurePhoto');
    return {
      answer: await fromPhoto(bytes, progress, (pixels, lens, told) =>
        measurePhoto(pixels, { ...asked, ...lens }, told),
      ),
    };
  },
  readyPhoto: async () => {
    const [{ measurePhoto }, { photoOf }, { PRACTICE }] = await Promise.all([
      import('../core/photo/measurePhoto'),
      import('../core/photo/scene'),
      import('../core/photo/practice'),
      import('./pixelsOf'),
      import('exifr'),
    ]);
    measurePhoto(photoOf({ ...PRACTICE.scene, longPx: 480 }).pixels, PRACTICE.asked);
    return { answer: null };
  },
  tracePhoto: async ({ bytes, asked }, progress) => {
    const { tracePhoto } = await import('../core/photo/tracePhoto');
    return {
      answer: await fromPhoto(bytes, progress, (pixels, lens, told) =>
        tracePhoto(pixels, { ...asked, ...lens }, told),
      ),
    };
  },
  madeUpPhoto: async scene => {
    const [{ pngOf }, { photoOf }] = await Promise.all([import('./pixelsOf'), import('../core/photo/scene')]);
    return handedOver(await pngOf(photoOf(scene).pixels));
  },
  madeUpMotion: async scene => {
    const { motionOf } = await import('../core/motion/motionScene');
    return { answer: motionOf(scene).samples };
  },
  listPdf: async ({ title, sections }) => {
    const { listPdf } = await import('../files/listPdf');
    return handedOver(listPdf(title, sections, await font()));
  },
  labelsPdf: async ({ labels, title }) => {
    const { labelsPdf } = await import('../files/labelsPdf');
    return handedOver(labelsPdf(labels, title, await font()));
  },
  templatePdf: async ({ template, paper, orientation }, progress) => {
    const { templatePdf } = await import('../files/templatePdf');
    return handedOver(
      templatePdf(template, { paper, orientation, fontBase64: await font(), onSheet: progress }),
    );
  },
  recordRows: async (all, progress) => {
    rowsOf ??= (await import('../core/record/recordRow')).recordRowsKept();
    return { answer: rowsOf(all, progress) };
  },
  accuracy: async ({ pieces, swatches }, progress) => {
    const { accuracyOf } = await import('../core/accuracy/accuracyOf');
    return { answer: accuracyOf(pieces, swatches, { progress }) };
  },
  schedule: async ({ open }) => {
    const { planWork } = await import('../core/schedule/planWork');
    return { answer: planWork(open) };
  },
  playAdvice: async ({ setup, log, ...of }) => {
    const [{ rehearsedOf }, { playAdvice }] = await Promise.all([
      import('../core/rehearsal/rehearsedOf'),
      import('../core/rehearsal/playAdvice'),
    ]);
    const rehearsed = rehearsedOf(setup);
    return { answer: rehearsed.ok ? ok(playAdvice(log, { ...of, rehearsed: rehearsed.value })) : rehearsed };
  },
  summaries: async ({ pieces }) => {
    const { summaryOf } = await import('./summaryOf');
    return { answer: pieces.map(summaryOf) };
  },
  readiness: async ({ open, rank }, progress) => {
    const { readinessOf } = await import('../core/schedule/readinessOf');
    return { answer: readinessOf(open, rank, progress) };
  },
  recipeCardPdf: async ({ page, paper, copies }) => {
    const { recipeCardPdf } = await import('../files/recipeCardPdf');
    return handedOver(recipeCardPdf(page, { paper, copies, fontBase64: await font() }));
  },
  readRecipe: async ({ bytes }) => {
    const { isText, readRecipeFile } = await import('../files/recipeText');
    return {
      answer: isText(bytes) ? readRecipeFile(bytes) : await (await import('./readCode')).readCode(bytes),
    };
  },
  picture: async ({ bytes }, progress) => {
    const { preparePicture } = await import('./preparePicture');
    return { answer: await preparePicture(bytes, progress) };
  },
  saveWhole: async ({ database, ask }, progress) => {
    const { saveWhole } = await import('./wholeWork');
    const answer = await inDatabase(database, store =>
      saveWhole(store, ask, percent => progress(percent, 100)),
    );
    const saved = answer.ok ? answer.value : answer;
    return { answer: saved, transfer: saved.ok ? buffersOf(saved.value.file.bytes) : [] };
  },
  openWhole: async ({ database, ask }, progress) => {
    const { openWhole } = await import('./wholeWork');
    const answer = await inDatabase(database, store =>
      openWhole(store, ask, percent => progress(percent, 100)),
    );
    const isTaken = answer.ok && answer.value.is === 'taken';
    return { answer, transfer: isTaken ? buffersOf(answer.value.report.back) : [] };
  },
  takeBackWhole: async ({ database, ask }) => {
    const { takeBackWhole } = await import('./wholeWork');
    const answer = await inDatabase(database, store => takeBackWhole(store, ask));
    return { answer, transfer: answer.ok ? buffersOf(answer.value.back) : [] };
  },
};

const run = async <N extends JobName>(id: number, job: N, request: Jobs[N]['request']): Promise<void> => {
  const progress: Progress = (done, of) => say({ id, type: 'progress', done, of });
  const { answer, transfer } = await WORK[job](request, progress);
  say({ id, type: 'done', answer }, transfer);
};

globalThis.addEventListener('message', ({ data }: MessageEvent<JobRequest>) => {
  run(data.id, data.job, data.request).catch((error: unknown) =>
    say({ id: data.id, type: 'failed', issue: issue('WORK_FAILED', data.job, { detail: String(error) }) }),
  );
});
say({ id: 0, type: 'ready' });
