import { z } from 'zod';
import { REFERENCE_KINDS, type ReferenceKind } from '../core/photo/references';
import { useKeptDraft } from './useKeptDraft';

/** What this maker lays beside a piece in a picture: a card until something else was chosen. */
export const useReference = (): [ReferenceKind, (kind: ReferenceKind) => void] => {
  const [kept, keep] = useKeptDraft('jorrit.reference', z.enum(REFERENCE_KINDS));
  return [kept ?? 'card', keep];
};
