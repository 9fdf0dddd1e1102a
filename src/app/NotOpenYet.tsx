import { ISSUES } from '../words/issues';

const { message, cause, remedy } = ISSUES.STORE_SLOW;

/** What is seen while the browser does not hand the workshop out: why that may be, and what helps. It goes on by itself. */
export const NotOpenYet = () => (
  <div role="alert" className="max-w-prose p-8">
    <h1 className="text-3xl font-semibold">{message}</h1>
    <p className="mt-2">{cause}</p>
    <p className="mt-2">{remedy}</p>
    <p className="mt-2 text-chalk">It opens by itself as soon as it can. Nothing is lost.</p>
  </div>
);
