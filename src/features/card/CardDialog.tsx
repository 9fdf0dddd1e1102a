import { useState } from 'react';
import type { Plan } from '../../core/plan/makePlan';
import type { UnitSystem } from '../../core/units/units';
import { download, fileName } from '../../files/download';
import { CARD_PAPERS, type CardPaper, fitsCode } from '../../files/recipeCardPdf';
import { recipeFile } from '../../files/recipeText';
import type { Piece } from '../../records/piece';
import { useRecipeCard } from '../../session/useRecipeCard';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Dialog } from '../../ui/Dialog';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';

const PAPERS: readonly CardPaper[] = ['a5', 'a4', 'letter'];
const MOST_COPIES = 60;

/** A recipe passed on: printed, with the code that holds it, or as a file. */
export const CardDialog = (props: {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly units: UnitSystem;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}) => {
  const { piece, plan, units } = props;
  const [paper, setPaper] = useState<CardPaper>('a5');
  const [copies, setCopies] = useState(1);
  const { card, page, print } = useRecipeCard(piece, plan, units);
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
          <Button look="main" onClick={() => print(paper, copies)}>
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
