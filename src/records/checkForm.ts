import { checkMeasures, formKind } from '../core/forms/kinds/registry';
import type { Issue } from '../core/issues';
import type { StoredRecord } from './common';
import { pieceKind } from './piece';

/**
 * What the schema cannot say of a piece: its form is known, and its measures are such as the form can have. Apart from the schema, since
 * it needs every form there is; asked of what comes from a file. Of any other record there is nothing to say.
 */
export const checkForm = (record: StoredRecord): readonly Issue[] => {
  if (!pieceKind.is(record)) return [];
  const { form } = record.plan;
  const kind = formKind(form.kind);
  const checked = kind.ok ? checkMeasures(kind.value, form.measures) : kind;
  return checked.ok ? [] : checked.issues;
};
