import { memo, useDeferredValue, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { FormKind, Offer, Purpose } from '../../core/forms/formKind';
import { FORM_KINDS } from '../../core/forms/kinds/registry';
import { newPlan, startFrom, type StartFrom } from '../../core/plan/newPlan';
import type { PlanInput } from '../../core/plan/planInput';
import { newPiece } from '../../records/piece';
import { useWorkshop } from '../../session/workshop';
import { useNotify } from '../../session/notices';
import { useAddPiece } from '../../session/useChanges';
import { Choice } from '../../ui/Choice';
import { TextField } from '../../ui/TextField';
import { useGradually } from '../../ui/useGradually';
import { useSteady } from '../../ui/useSteady';
import { useTitle } from '../../ui/useTitle';
import { FormPicture } from './FormPicture';

const GROUPS: ReadonlyArray<readonly [Purpose, string]> = [
  ['wear', 'To wear'],
  ['hold', 'To hold things'],
  ['home', 'For table, floor and wall'],
  ['flower', 'Flowers'],
  ['solid', 'Solid through and through'],
  ['own', 'Your own shape'],
];

const STARTS: ReadonlyArray<{ readonly value: StartFrom; readonly text: string }> = [
  { value: 'size', text: 'the size it should be' },
  { value: 'laidSize', text: 'a resist you have' },
  { value: 'grams', text: 'the wool you have left' },
];

const SAID: Readonly<Record<StartFrom, string>> = {
  size: 'You can change every measure in the next step.',
  laidSize: 'The laid size is kept: type the size of your resist, and the finished size follows.',
  grams: 'The total wool is kept: type how much you have, and the size follows.',
};

/** One thing that can be made: a form as it is offered. */
interface Tile {
  readonly kind: FormKind;
  readonly offer: Offer;
  /** The plan that it begins with. */
  readonly input: PlanInput;
}

const TILES: readonly Tile[] = FORM_KINDS.flatMap(kind =>
  [kind, ...(kind.also ?? [])].map(offer => ({ kind, offer, input: newPlan(kind, { offer }) })),
);

/** Forms that come back at once when fewer letters ask for them. */
const TILES_A_FRAME = 3;

/** By what they are for, each with its place among all that are shown. */
const GROUPED = GROUPS.map(([group, title]) => ({
  title,
  tiles: TILES.filter(({ kind, offer }) => (offer.group ?? kind.group) === group),
})).map(({ title, tiles }, i, all) => {
  const before = all.slice(0, i).reduce((sum, g) => sum + g.tiles.length, 0);
  return { title, tiles: tiles.map((tile, n) => ({ tile, at: before + n })) };
});

const fits = ({ offer }: Tile, wanted: string): boolean =>
  `${offer.title} ${offer.purpose}`.toLowerCase().includes(wanted.trim().toLowerCase());

const TileButton = memo(
  ({ tile, onChoose }: { readonly tile: Tile; readonly onChoose: (t: Tile) => void }) => (
    <button
      type="button"
      onClick={() => onChoose(tile)}
      className="group flex w-40 flex-col items-start gap-1 rounded-bench p-2 text-left"
    >
      <FormPicture input={tile.input} />
      <span className="w-full border-t-2 border-ink pt-1 text-lg leading-tight font-semibold group-hover:underline">
        {tile.offer.title}
      </span>
      <span className="text-[13px] leading-snug text-chalk">{tile.offer.purpose}</span>
    </button>
  ),
);
TileButton.displayName = 'TileButton';

/** What is found by a word, group by group: drawn after the letters of it. What is not found is hidden, and need not be made anew. */
const Found = memo(
  ({ wanted, onChoose }: { readonly wanted: string; readonly onChoose: (tile: Tile) => void }) => {
    const wantedIn = useGradually(wanted, Math.ceil(TILES.length / TILES_A_FRAME));
    const groups = GROUPED.map(({ title, tiles }) => {
      const found = tiles.filter(({ tile, at }) => fits(tile, wantedIn(Math.floor(at / TILES_A_FRAME))));
      return (
        <section
          key={title}
          aria-label={title}
          hidden={found.length === 0}
          className="when-seen mb-5 [--place:17rem]"
        >
          <h2 className="mb-1 text-xl font-semibold">{title}</h2>
          <ul className="flex flex-wrap gap-x-3.5 gap-y-3">
            {tiles.map(of => (
              <li key={of.tile.offer.title} hidden={!found.includes(of)}>
                <TileButton tile={of.tile} onChoose={onChoose} />
              </li>
            ))}
          </ul>
        </section>
      );
    });
    const isFound = TILES.some(t => fits(t, wanted));
    return (
      <>
        {!isFound && <p>Nothing found. Try another word, or “Your own shape”.</p>}
        {groups}
      </>
    );
  },
);
Found.displayName = 'Found';

/** New piece: chosen by its picture and by what it is for. */
export const NewPieceView = () => {
  useTitle('New piece');
  const add = useAddPiece();
  const navigate = useNavigate();
  const { failed } = useNotify();
  const { chance, nowIso } = useWorkshop();
  const [from, setFrom] = useState<StartFrom>('size');
  const [wanted, setWanted] = useState('');
  const found = useDeferredValue(wanted);
  const begin = useSteady((tile: Tile): void => {
    const plan = startFrom(tile.input, from);
    const way = tile.offer.way ?? null;
    const piece = newPiece({ id: chance.newId(), name: tile.offer.title, now: nowIso(), plan, way });
    add(piece).then(() => navigate(`/pieces/${piece.id}/plan`), failed);
  });
  return (
    <div className="min-h-0 flex-1 overflow-auto bg-table px-6 py-4">
      <div className="flex flex-wrap items-end gap-x-8 gap-y-2">
        <h1 className="text-3xl font-semibold">What are you making?</h1>
        <TextField label="Find" className="w-44" value={wanted} onText={setWanted} />
        <div>
          <p className="text-[13px] text-chalk">Start from</p>
          <Choice label="Start from" value={from} options={STARTS} onChoose={setFrom} />
        </div>
      </div>
      <p className="mt-1 mb-4 max-w-prose text-chalk">
        {SAID[from]} To practise first, with no wool, there are{' '}
        <Link to="/lessons" className="underline">
          lessons
        </Link>
        .
      </p>
      <Found wanted={found} onChoose={begin} />
    </div>
  );
};
