import { fault } from './fault';
import { feltTest } from './feltTest';
import { lay } from './lay';
import { look } from './look';
import { measure } from './measure';
import { mended } from './mended';
import { note } from './note';
import { open } from './open';
import { pinch } from './pinch';
import { roll } from './roll';
import { rub } from './rub';
import { shock } from './shock';
import { step } from './step';
import { thickness } from './thickness';
import { throwing } from './throwing';
import { undo } from './undo';
import { water } from './water';
import { weigh } from './weigh';
import { wet } from './wet';

/** Every act, in the order in which a felter comes to it: a new one is one file, and one line here. */
export const ACTS = [
  wet,
  rub,
  pinch,
  roll,
  look,
  measure,
  open,
  throwing,
  shock,
  water,
  feltTest,
  thickness,
  fault,
  mended,
  step,
  note,
  lay,
  weigh,
  undo,
] as const;
