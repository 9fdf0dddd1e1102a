// The worker in which `npm run bench` times what ships, built as the rest of Jorrit is.
import { timesOf, type Work, WORKS } from './benchWorks';

onmessage = ({ data }: MessageEvent<{ work: Work; runs: number; warmUp: number }>) => {
  postMessage(timesOf(WORKS[data.work], data.runs, data.warmUp));
};
