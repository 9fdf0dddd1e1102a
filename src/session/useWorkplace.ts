import { useCallback, useEffect } from 'react';
import { placesOf, showMoney } from '../core/money/currency';
import type { Minor } from '../core/money/exact';
import { usualWorkplace, type Workplace, WORKPLACE_ID, workplaceKind } from '../records/workplace';
import type { Store } from '../store/store';
import type { ChangeLabel } from './changes';
import { useNotify } from './notices';
import { useChange } from './useChanges';
import { useLive } from './useRecords';
import { useWorkshop } from './workshop';

/** What is taken until the maker said something. */
const USUAL = usualWorkplace('2026-01-01T00:00:00.000Z');

/** Hours, hands, rack and money of this workshop; as usual until the maker said something. */
export const useWorkplace = (): Workplace =>
  useLive(workplaceKind)?.find(w => w.id === WORKPLACE_ID) ?? USUAL;

/** Whether they have a record already: what is typed before that has nowhere to be kept yet. */
export const useIsWorkplaceKept = (): boolean =>
  useLive(workplaceKind)?.some(w => w.id === WORKPLACE_ID) ?? false;

const making = new WeakMap<Store, Promise<void>>();

/** Makes the record where there is none yet, once, whoever asks for it first. */
const made = (store: Store, now: string): Promise<void> => {
  const known =
    making.get(store) ??
    store.get(workplaceKind, WORKPLACE_ID).then(async found => {
      if (!found) await store.add(workplaceKind, usualWorkplace(now));
    });
  making.set(store, known);
  known.catch(() => making.delete(store));
  return known;
};

/**
 * Changes them; from then on they are the maker's own. The record is made where there is none yet, and what is typed in that moment waits for it:
 * it is kept as anything else.
 */
export const useChangeWorkplace = (): ((
  change: (workplace: Workplace) => Workplace,
  told: ChangeLabel,
) => void) => {
  const { store, nowIso } = useWorkshop();
  const { failed } = useNotify();
  const changeOne = useChange(workplaceKind);
  const all = useLive(workplaceKind);
  const isMissing = all !== null && !all.some(w => w.id === WORKPLACE_ID);
  const isThere = useIsWorkplaceKept();
  useEffect(() => {
    if (isMissing) made(store, nowIso()).catch(failed);
  }, [isMissing, store, nowIso, failed]);
  return useCallback(
    (change, told) => {
      const go = (): void => changeOne(WORKPLACE_ID, w => ({ ...change(w), sample: false }), told);
      if (isThere) go();
      else made(store, nowIso()).then(go, failed);
    },
    [changeOne, isThere, store, nowIso, failed],
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
