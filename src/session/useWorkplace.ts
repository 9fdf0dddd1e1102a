import { useCallback } from 'react';
import { placesOf, showMoney } from '../core/money/currency';
import type { Minor } from '../core/money/exact';
import { usualWorkplace, type Workplace, WORKPLACE_ID, workplaceKind } from '../records/workplace';
import { addRecord, type ChangeLabel } from './changes';
import { useNotify } from './notices';
import { useChange } from './useChanges';
import { useLive } from './useRecords';
import { useWorkshop } from './workshop';

/** What is taken until the maker said something. */
const USUAL = usualWorkplace('2026-01-01T00:00:00.000Z');

/** Hours, hands, rack and money of this workshop; as usual until the maker said something. */
export const useWorkplace = (): Workplace =>
  useLive(workplaceKind)?.find(w => w.id === WORKPLACE_ID) ?? USUAL;

/** Changes them: the first change makes the record, and makes it the maker's own. */
export const useChangeWorkplace = (): ((
  change: (workplace: Workplace) => Workplace,
  told: ChangeLabel,
) => void) => {
  const workshop = useWorkshop();
  const { failed } = useNotify();
  const changeOne = useChange(workplaceKind);
  const isThere = (useLive(workplaceKind) ?? []).some(w => w.id === WORKPLACE_ID);
  return useCallback(
    (change, told) => {
      if (isThere) return changeOne(WORKPLACE_ID, w => ({ ...change(w), sample: false }), told);
      addRecord(workshop, workplaceKind, change(usualWorkplace(workshop.nowIso()))).catch(failed);
    },
    [isThere, changeOne, workshop, failed],
  );
};

/** The maker's money: its decimals, and a sum as it is written. */
export const useMoney = (): {
  readonly places: number;
  readonly code: string;
  readonly show: (minor: Minor) => string;
} => {
  const { currency: code, locale } = useWorkplace();
  return { code, places: placesOf(code), show: minor => showMoney(minor, { code, locale }) };
};
