import { type Issue, issue } from '../issues';
import { err, ok, type Result } from '../result';
import { ball } from './kinds/ball';
import { bag } from './kinds/bag';
import { beadString } from './kinds/beadString';
import { bellHat } from './kinds/bellHat';
import { beret } from './kinds/beret';
import { bootLiner } from './kinds/bootLiner';
import { bottleSleeve } from './kinds/bottleSleeve';
import { bowl } from './kinds/bowl';
import { cone } from './kinds/cone';
import { cord } from './kinds/cord';
import { cosy } from './kinds/cosy';
import { cushion } from './kinds/cushion';
import { disc } from './kinds/disc';
import { drop } from './kinds/drop';
import { egg } from './kinds/egg';
import { flapPocket } from './kinds/flapPocket';
import { flatFlower } from './kinds/flatFlower';
import { freeEnvelope } from './kinds/freeEnvelope';
import { freeSheet } from './kinds/freeSheet';
import { girthStations } from './kinds/girthStations';
import { gridRelief } from './kinds/gridRelief';
import { mitten } from './kinds/mitten';
import { nuno } from './kinds/nuno';
import { pod } from './kinds/pod';
import { rectangle } from './kinds/rectangle';
import { rolledFlower } from './kinds/rolledFlower';
import { roundProfile } from './kinds/roundProfile';
import { sleeve } from './kinds/sleeve';
import { slipper } from './kinds/slipper';
import { triangle } from './kinds/triangle';
import { trumpetFlower } from './kinds/trumpetFlower';
import { twoBowls } from './kinds/twoBowls';
import { vessel } from './kinds/vessel';
import type { FormKind, Measures } from './formKind';

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
