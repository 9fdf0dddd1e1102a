import { useMemo } from 'react';
import { outcome } from '../core/plan/outcome';
import type { Plan } from '../core/plan/makePlan';
import { planOf } from '../core/plan/planOf';
import type { UnitSystem } from '../core/units/units';
import { download, fileName } from '../files/download';
import type { CardPage, CardPaper } from '../files/recipeCardPdf';
import type { Piece } from '../records/piece';
import { type CardResult, cardOf, type RecipeCard } from '../records/recipeCard';
import { issueText } from '../words/issues';
import { cardPage } from './cardPage';
import { useNotify } from './notices';
import { useAllPieces, useWools } from './useRecords';
import { useWorkshop } from './workshop';

/** How a piece and those made again from it came out, the last first. */
const resultsOf = (piece: Piece, all: readonly Piece[]): readonly CardResult[] =>
  all
    .filter(p => (p.id === piece.id || p.after === piece.id) && p.deletedAt === null)
    .flatMap((p): CardResult[] => {
      const { finishedAt, grams } = p.result;
      const plan = planOf(p.plan);
      if (finishedAt === null || !plan.ok) return [];
      const { along, across } = outcome(plan.value.form, p.result, null);
      return [{ along, across, grams, finishedAt }];
    })
    .toSorted((a, b) => (a.finishedAt < b.finishedAt ? 1 : -1));

/** The recipe card of a piece: what it holds, its page, and printing it. */
export const useRecipeCard = (
  piece: Piece,
  plan: Plan,
  units: UnitSystem,
): {
  readonly card: RecipeCard;
  readonly page: CardPage;
  readonly print: (paper: CardPaper, copies: number) => void;
} => {
  const wools = useWools();
  const all = useAllPieces();
  const { workers } = useWorkshop();
  const { tell, failed } = useNotify();
  const card = useMemo(() => cardOf(piece, wools, resultsOf(piece, all)), [piece, wools, all]);
  const page = useMemo(
    () => cardPage(piece, plan, { card, wools, units }),
    [piece, plan, card, wools, units],
  );
  const print = (paper: CardPaper, copies: number): void => {
    workers.long
      .run('recipeCardPdf', { page, paper, copies })
      .then(made =>
        made.ok
          ? download(fileName(`${piece.name} recipe`, 'pdf'), 'application/pdf', made.value)
          : tell({ text: made.issues.map(issueText).join(' ') }),
      )
      .catch(failed);
  };
  return { card, page, print };
};
