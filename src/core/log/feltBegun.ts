import { type Act, workOfAct } from '../acts/act';
import { entriesInForce } from './entriesInForce';
import type { LogEntry } from './entry';

/** Whether an act is of the felt: it wets it, works it or opens it. A note, a look or a fault may come while it is laid. */
const isOfFelt = (act: Act): boolean =>
  act.kind === 'wet' || act.kind === 'open' || workOfAct(act, 'hot') !== null;

/** Whether the felt was begun: then the laying is over. @param log entries of the bench */
export const feltBegun = (log: readonly LogEntry[]): boolean =>
  entriesInForce(log).some(e => isOfFelt(e.act));
