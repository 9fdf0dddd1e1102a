import { type Issue, issue } from '../../issues';
import { err, ok, type Result } from '../../result';
import { ball } from './ball';
import { bag } from './bag';
import { beadString } from './beadString';
import { bellHat } from './bellHat';
import { beret } from './beret';
import { bootLiner } from './bootLiner';
import { bottleSleeve } from './bottleSleeve';
import { bowl } from './bowl';
import { cone } from './cone';
import { cord } from './cord';
import { cosy } from './cosy';
import { cushion } from './cushion';
import { disc } from './disc';
import { drop } from './drop';
import { egg } from './egg';
import { flapPocket } from './flapPocket';
import { flatFlower } from './flatFlower';
import { freeEnvelope } from './freeEnvelope';
import { freeSheet } from './freeSheet';
import { girthStations } from './girthStations';
import { gridRelief } from './gridRelief';
import { mitten } from './mitten';
import { nuno } from './nuno';
import { pod } from './pod';
import { rectangle } from './rectangle';
import { rolledFlower } from './rolledFlower';
import { roundProfile } from './roundProfile';
import { sleeve } from './sleeve';
import { slipper } from './slipper';
import { triangle } from './triangle';
import { trumpetFlower } from './trumpetFlower';
import { twoBowls } from './twoBowls';
import { vessel } from './vessel';
import type { FormKind, Measures } from '../formKind';

/** Every form that can be planned, in the order they are offered within their group. */
export const FORM_KINDS: readonly FormKind[] = [
  bellHat,
  beret,
  mitten,
  slipper,
  bootLiner,
  sleeve,
  nuno,
  triangle,
  bag,
  flapPocket,
  bottleSleeve,
  bowl,
  twoBowls,
  vessel,
  pod,
  rectangle,
  disc,
  cosy,
  cushion,
  gridRelief,
  cone,
  flatFlower,
  trumpetFlower,
  rolledFlower,
  ball,
  beadString,
  egg,
  drop,
  cord,
  freeSheet,
  freeEnvelope,
  roundProfile,
  girthStations,
];

/** The kind by its name. Fails with UNKNOWN_FORM. */
export const formKind = (kind: string): Result<FormKind> => {
  const found = FORM_KINDS.find(k => k.kind === kind);
  return found ? ok(found) : err(issue('UNKNOWN_FORM', 'plan.form.kind', { got: kind }));
};

/**
 * Checks the measures of a form. Fails with MEASURE_MISSING or OUT_OF_RANGE, each with the path of the measure.
 * @param measures finished mm by measure id
 */
export const checkMeasures = (kind: FormKind, measures: Measures): Result<Measures> => {
  const issues: Issue[] = kind.specs(measures).flatMap(spec => {
    const path = `plan.form.measures.${spec.id}`;
    const value = measures[spec.id];
    if (value === undefined) return [issue('MEASURE_MISSING', path)];
    return value >= spec.min && value <= spec.max
      ? []
      : [
          issue('OUT_OF_RANGE', path, {
            got: value,
            detail: `${spec.label}: ${spec.min} to ${spec.max}${(spec.dimension ?? 'length') === 'length' || spec.dimension === 'thickness' ? ' mm' : ''}.`,
          }),
        ];
  });
  const objection = issues.length === 0 ? kind.objection(measures) : null;
  if (objection) issues.push(issue('OUT_OF_RANGE', 'plan.form.measures', { detail: objection }));
  return issues.length === 0 ? ok(measures) : err(...issues);
};
