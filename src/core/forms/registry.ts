import { type Issue, issue } from '../issues';
import { err, ok, type Result } from '../result';
import { bottleSleeve } from './bottleSleeve';
import { cosy } from './cosy';
import { disc } from './disc';
import type { FormKind, Measures } from './formKind';
import { girthStations } from './girthStations';
import { rectangle } from './rectangle';

/** Every form that can be planned, in the order they are offered. */
export const FORM_KINDS: readonly FormKind[] = [rectangle, disc, bottleSleeve, cosy, girthStations];

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
            detail: `${spec.label}: ${spec.min} to ${spec.max} mm.`,
          }),
        ];
  });
  const objection = issues.length === 0 ? kind.objection(measures) : null;
  if (objection) issues.push(issue('OUT_OF_RANGE', 'plan.form.measures', { detail: objection }));
  return issues.length === 0 ? ok(measures) : err(...issues);
};
