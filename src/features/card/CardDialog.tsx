import { useMemo, useState } from 'react';
import { outcome } from '../../core/plan/outcome';
import { planOf } from '../../core/plan/planOf';
import type { Plan } from '../../core/plan/makePlan';
import type { UnitSystem } from '../../core/units/units';
import { download, fileName } from '../../files/download';
import { CARD_PAPERS, type CardPaper, fitsCode } from '../../files/recipeCardPdf';
import { recipeFile } from '../../files/recipeText';
import type { Piece } from '../../records/piece';
import { type CardResult, cardOf } from '../../records/recipeCard';
import { cardPage } from '../../session/cardPage';
import { useNotify } from '../../session/notices';
import { useAllPieces, useWools } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Dialog } from '../../ui/Dialog';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { issueText } from '../../words/issues';

const PAPERS: readonly CardPaper[] = ['a5', 'a4', 'letter'];
const MOST_COPIES = 60;

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

/** A recipe passed on: printed, with the code that holds it, or as a file. */
export const CardDialog = (props: {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly units: UnitSystem;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}) => {
  const { piece, plan, units } = props;
  const wools = useWools();
  const all = useAllPieces();
  const { workers } = useWorkshop();
  const { tell, failed } = useNotify();
  const [paper, setPaper] = useState<CardPaper>('a5');
  const [copies, setCopies] = useState(1);
  const card = useMemo(() => cardOf(piece, wools, resultsOf(piece, all)), [piece, wools, all]);
  const page = useMemo(
    () => cardPage(piece, plan, { card, wools, units }),
    [piece, plan, card, wools, units],
  );
  const print = (): void => {
    workers.long
      .run('recipeCardPdf', { page, paper, copies })
      .then(made =>
        made.ok
          ? download(fileName(`${piece.name} recipe`, 'pdf'), 'application/pdf', made.value)
          : tell({ text: made.issues.map(issueText).join(' ') }),
      )
      .catch(failed);
  };
  return (
    <Dialog open={props.open} onOpenChange={props.onOpenChange} title="Recipe card">
      <div className="flex flex-col gap-4">
        <p>
          The card has the drawing with its measures, the wool, the steps and cautions
          {fitsCode(page.code)
            ? ', and a code that holds the whole recipe: a phone with Jorrit reads it from the paper.'
            : '. This recipe is too long for a code: pass on its file as well.'}{' '}
          Pictures are left out.
        </p>
        <div className="flex flex-wrap items-end gap-5">
          <div>
            <p className="text-[13px] text-chalk">Paper</p>
            <Choice
              label="Paper"
              value={paper}
              options={PAPERS.map(value => ({ value, text: CARD_PAPERS[value].name }))}
              onChoose={setPaper}
            />
          </div>
          <NumberField
            className="w-24"
            label="How many"
            shown={String(copies)}
            read={reader('count', units, { min: 1, max: MOST_COPIES })}
            onValue={v => setCopies(Math.round(v))}
          />
        </div>
        <div className="flex flex-wrap gap-2">
          <Button look="main" onClick={print}>
            {copies === 1 ? 'Save the card as PDF' : `Save ${copies} cards as PDF`}
          </Button>
          <Button
            onClick={() =>
              download(fileName(`${piece.name} recipe`, 'json'), 'application/json', recipeFile(card))
            }
          >
            Save the recipe as a file
          </Button>
        </div>
      </div>
    </Dialog>
  );
};
