import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Issue } from '../../core/issues';
import { planOf } from '../../core/plan/planOf';
import { showShare } from '../../core/units/units';
import { type CardWool, type RecipeCard, takeCard } from '../../records/recipeCard';
import { useAddPiece, useAddWool } from '../../session/useChanges';
import { useNotify } from '../../session/notices';
import { useSettings, useWools } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { FileButton } from '../../ui/FileButton';
import { Select } from '../../ui/Select';
import { useTitle } from '../../ui/useTitle';
import { ISSUES, issueText } from '../../words/issues';
import { ChangedFields, changedPlan, type Wanted, wantedOf } from './ChangedFields';

type Came =
  | { readonly is: 'reading' }
  | { readonly is: 'refused'; readonly issues: readonly Issue[] }
  | { readonly is: 'card'; readonly card: RecipeCard };

const NEW = '';

/** The wool of the shelf that is meant by a card’s, if one is: of its name and fibre. */
const sameOn = (
  shelf: ReadonlyArray<{ readonly id: string; readonly name: string; readonly fibre: string }>,
  w: CardWool,
): string => shelf.find(s => s.name === w.name && s.fibre === w.fibre)?.id ?? NEW;

/** A recipe that was read: shown before it is taken, with its size, wool and shrinkage to be changed. */
const Taken = ({ card }: { readonly card: RecipeCard }) => {
  const { chance, nowIso } = useWorkshop();
  const addWool = useAddWool();
  const addPiece = useAddPiece();
  const { units } = useSettings();
  const shelf = useWools().filter(w => w.deletedAt === null);
  const { failed } = useNotify();
  const navigate = useNavigate();
  const [wanted, setWanted] = useState<Wanted>(() => wantedOf(card.piece.plan, null));
  const [wools, setWools] = useState<ReadonlyMap<string, string>>(
    () => new Map(card.wools.map(w => [w.id, sameOn(shelf, w)])),
  );
  const { piece } = card;
  const plan = planOf(piece.plan);
  const changed = changedPlan(piece.plan, wanted);
  const make = async (): Promise<void> => {
    if (!changed.ok) return;
    const taken = takeCard(card, {
      newId: chance.newId,
      now: nowIso(),
      plan: changed.value.input,
      wools: new Map([...wools].filter(([, id]) => id !== NEW)),
    });
    for (const wool of taken.wools) await addWool(wool);
    await addPiece(taken.piece);
    await navigate(`/pieces/${taken.piece.id}/plan`);
  };
  return (
    <section aria-label="The recipe" className="flex max-w-2xl flex-col gap-4 border-l-4 border-ink pl-4">
      <div>
        <h2 className="text-2xl font-semibold">{piece.name}</h2>
        <p>
          {plan.ok ? plan.value.kind.title : piece.plan.form.kind}
          {piece.plan.pieces > 1 && `, ${piece.plan.pieces} alike`}
          {piece.recipe && `, worked by “${piece.recipe.name}”, ${piece.recipe.steps.length} steps`}
        </p>
        {card.results.map(r => (
          <p key={r.finishedAt} className="text-[13px] text-chalk">
            Made on {r.finishedAt.slice(0, 10)}
            {r.along !== null &&
              r.across !== null &&
              `: shrank ${showShare(r.along)} and ${showShare(r.across)}`}
          </p>
        ))}
        {piece.notes && <p className="mt-1 border-l-4 border-rim pl-3 whitespace-pre-line">{piece.notes}</p>}
      </div>
      <ChangedFields
        plan={piece.plan}
        wanted={wanted}
        units={units}
        onWanted={change => setWanted(was => ({ ...was, ...change }))}
      >
        <div className="flex flex-col gap-2">
          {card.wools.map(w => (
            <Select
              key={w.id}
              label={`For “${w.name}”${w.fibre ? `, ${w.fibre}` : ''}`}
              value={wools.get(w.id) ?? NEW}
              options={[
                { value: NEW, text: 'put it on my shelf' },
                ...shelf.map(s => ({ value: s.id, text: s.name })),
              ]}
              onPick={id => setWools(was => new Map(was).set(w.id, id))}
            />
          ))}
        </div>
      </ChangedFields>
      <Button
        look="main"
        className="self-start"
        disabled={!changed.ok}
        onClick={() => void make().catch(failed)}
      >
        Plan it
      </Button>
    </section>
  );
};

/** A recipe read back: from its file, from a picture of its card, or with the device’s own camera. */
export const RecipeInView = () => {
  useTitle('Read a recipe');
  const { workers } = useWorkshop();
  const { failed } = useNotify();
  const [came, setCame] = useState<Came | null>(null);
  const read = async (file: File): Promise<void> => {
    setCame({ is: 'reading' });
    const bytes = new Uint8Array(await file.arrayBuffer());
    const ran = await workers.long.run('readRecipe', { bytes });
    const got = ran.ok ? ran.value : ran;
    setCame(got.ok ? { is: 'card', card: got.value } : { is: 'refused', issues: got.issues });
  };
  const onFile = (file: File): void => void read(file).catch(failed);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-auto px-6 py-4">
      <h1 className="text-3xl font-semibold">Read a recipe</h1>
      <p className="max-w-prose">
        A recipe comes as a file, or on a card with a code. It is shown before it is taken, and you may change
        its size, wool and shrinkage on the way in. Nothing leaves this device.
      </p>
      <div className="flex flex-wrap gap-2">
        <FileButton accept="image/*" capture onPick={onFile}>
          Take a picture of the card
        </FileButton>
        <FileButton accept=".json,application/json,image/*" onPick={onFile}>
          Choose a file or picture
        </FileButton>
      </div>
      {came?.is === 'reading' && <p role="status">Reading …</p>}
      {came?.is === 'refused' && (
        <div role="alert" className="border-l-4 border-wanted pl-3">
          {came.issues.slice(0, 4).map((it, i) => (
            <p key={i}>
              {issueText(it)} {ISSUES[it.code].remedy}
            </p>
          ))}
        </div>
      )}
      {came?.is === 'card' && <Taken key={came.card.piece.name} card={came.card} />}
    </div>
  );
};
