import { turnOver } from './turnOver';
import { turnOut } from './turnOut';
import { airOut } from './airOut';
import { onForm } from './onForm';
import { edgesIn } from './edgesIn';
import { finish } from './finish';
import { cutDry } from './cutDry';
import { trim } from './trim';
import { edge } from './edge';
import { inside } from './inside';
import { pat } from './pat';
import { squeeze } from './squeeze';
import { needle } from './needle';
import { addWool } from './addWool';
import { mark, pieceDone, takeUp } from './mark';
import { compare } from './compare';
import { bead } from './bead';
import { board } from './board';
import { handRub } from './handRub';
import { machine } from './machine';
import { palms } from './palms';
import { shake } from './shake';
import { stir } from './stir';
import { stocking } from './stocking';
import { tube } from './tube';
import { fault } from './fault';
import { feltTest } from './feltTest';
import { lay } from './lay';
import { look } from './look';
import { measure } from './measure';
import { mended } from './mended';
import { note } from './note';
import { open } from './open';
import { picture } from './picture';
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
  compare,
  open,
  edge,
  inside,
  turnOut,
  pat,
  palms,
  bead,
  stocking,
  shake,
  board,
  handRub,
  tube,
  stir,
  throwing,
  squeeze,
  shock,
  machine,
  turnOver,
  airOut,
  edgesIn,
  trim,
  cutDry,
  finish,
  needle,
  onForm,
  water,
  feltTest,
  thickness,
  fault,
  mended,
  step,
  note,
  picture,
  addWool,
  mark,
  pieceDone,
  takeUp,
  lay,
  weigh,
  undo,
] as const;
