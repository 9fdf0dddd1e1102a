import fontUrl from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf?url';
import { recipesFor } from '../core/colour/blend';
import { simulateLayout } from '../core/evenness/simulateLayout';
import { adviseFrom } from '../core/felting/advise';
import { marginals } from '../core/felting/beliefOf';
import { infer } from '../core/felting/infer';
import { issue } from '../core/issues';
import { labelsPdf } from '../files/labelsPdf';
import { listPdf } from '../files/listPdf';
import { readSvgOutlines } from '../files/svgOutlines';
import { templatePdf } from '../files/templatePdf';
import type { Answer, Ask } from './protocol';

/** Means and variances need fewer points than the ends of a range. */
const POINTS_TO_LEARN = 800;

const say = (answer: Answer, transfer: Transferable[] = []): void =>
  globalThis.postMessage(answer, { transfer });

const toBase64 = (buffer: ArrayBuffer): string => {
  const bytes = new Uint8Array(buffer);
  let text = '';
  for (let i = 0; i < bytes.length; i += 0x8000)
    text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
};

const font = async (): Promise<string> => toBase64(await (await fetch(fontUrl)).arrayBuffer());

const work = async (asked: Ask): Promise<void> => {
  const { id } = asked;
  if (asked.job === 'svgOutlines') return say({ id, type: 'done', answer: readSvgOutlines(asked.ask.text) });
  if (asked.job === 'blends')
    return say({ id, type: 'done', answer: recipesFor(asked.ask.wanted, asked.ask.shelf) });
  if (asked.job === 'advise')
    return say({ id, type: 'done', answer: adviseFrom(asked.ask.felted, asked.ask.asked) });
  if (asked.job === 'learn')
    return say({
      id,
      type: 'done',
      answer: asked.ask.logs.map(log => marginals(infer(log, POINTS_TO_LEARN))),
    });
  if (asked.job === 'listPdf') {
    const list = listPdf(asked.ask.title, asked.ask.sections, await font());
    return say({ id, type: 'done', answer: list }, [list]);
  }
  if (asked.job === 'labelsPdf') {
    const labels = labelsPdf(asked.ask.labels, asked.ask.title, await font());
    return say({ id, type: 'done', answer: labels }, [labels]);
  }
  if (asked.job === 'evenness') {
    const onRun = (done: number): void => say({ id, type: 'progress', done, of: asked.ask.runs });
    return say({ id, type: 'done', answer: simulateLayout(asked.ask, onRun) });
  }
  const { template, paper, orientation } = asked.ask;
  const buffer = templatePdf(template, {
    paper,
    orientation,
    fontBase64: await font(),
    onSheet: (done, of) => say({ id, type: 'progress', done, of }),
  });
  say({ id, type: 'done', answer: buffer }, [buffer]);
};

globalThis.addEventListener('message', (event: MessageEvent<Ask>) => {
  work(event.data).catch((error: unknown) =>
    say({ id: event.data.id, type: 'failed', issue: issue('WORKER_DIED', '', { detail: String(error) }) }),
  );
});
