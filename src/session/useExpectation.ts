import type { Expectation, ShrinkageReading } from '../core/learning/expectedShrinkage';
import { shrinkageReadings } from '../core/learning/shrinkageReadings';
import { type Breed, breedOf } from '../core/wool/breeds';
import type { Wool } from '../records/wool';
import { useWorkshop } from './workshop';
import { useSwatches, useWools } from './useRecords';
import { useAllSummaries } from './useSummaries';

/** What is expected of a wool's next piece, and what of its own says so. */
export interface WoolExpectation extends Expectation {
  readonly breed: Breed | null;
  /** Its finished pieces and swatches. */
  readonly shownBy: readonly ShrinkageReading[];
  /** Pieces and swatches of other wools that speak with them. */
  readonly others: number;
}

/** Answers what is expected of any wool on the shelf. `except` leaves one piece out, so that it does not predict itself. */
export const useExpectations = (except?: string): ((wool: Wool) => WoolExpectation) => {
  const pieces = useAllSummaries();
  const swatches = useSwatches();
  const wools = useWools();
  const { learner } = useWorkshop();
  const { shown, ask } = learner([pieces, swatches, wools, except], () =>
    shrinkageReadings({ pieces: pieces ?? [], swatches, wools }).filter(s => s.id !== except),
  );
  return wool => {
    const breed = breedOf(wool.fibre);
    const own = shown.filter(s => s.woolId === wool.id);
    return {
      ...ask({ woolId: wool.id, breedId: breed?.id ?? '', felts: breed?.felts ?? null }),
      breed,
      shownBy: own,
      others: shown.length - own.length,
    };
  };
};

/** What is expected of one wool; null where there is no such wool. */
export const useExpectation = (woolId: string | null, except?: string): WoolExpectation | null => {
  const ask = useExpectations(except);
  const wool = useWools().find(w => w.id === woolId);
  return wool ? ask(wool) : null;
};
