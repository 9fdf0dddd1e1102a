import { memo, useState } from 'react';
import { Link, NavLink, Outlet, useLocation, useNavigate, useParams } from 'react-router';
import type { PlanInput } from '../core/plan/planInput';
import { AgainDialog } from '../features/again/AgainDialog';
import { CardDialog } from '../features/card/CardDialog';
import { fileName } from '../files/download';
import type { Entry } from '../records/entry';
import { newLine, newOrder, orderKind } from '../records/order';
import { type Piece, pieceAgain } from '../records/piece';
import { useNotify } from '../session/notices';
import type { PieceContext } from '../session/pieceContext';
import { planOf } from '../core/plan/planOf';
import { useSaveFile } from '../session/useSaveFile';
import { useWorkshop } from '../session/workshop';
import { useAdd, useAddPiece, useChangeSettings, useDeletePiece } from '../session/useChanges';
import { useEntries, usePiece, useSettings } from '../session/useRecords';
import { useLastTime } from '../session/useLastTime';
import { useUndo } from '../session/useUndo';
import { Button } from '../ui/Button';
import { LastTime } from '../ui/LastTime';
import { Menu } from '../ui/Menu';
import { TextField } from '../ui/TextField';
import { useRoomy } from '../ui/useRoomy';
import { useTitle } from '../ui/useTitle';
import { ViewButtons } from './Shell';
import { useShellActs } from './shellActs';
import { useAtBench } from './useAtBench';
import { useStage, withPlan } from './useStage';

const STAGES = [
  { to: 'plan', text: 'Plan' },
  { to: 'wool', text: 'Wool' },
  { to: 'template', text: 'Template' },
  { to: 'bench', text: 'Bench' },
  { to: 'finish', text: 'Finish' },
  { to: 'diary', text: 'Diary' },
  { to: 'cost', text: 'Cost' },
] as const;

const usePieceActs = (piece: Piece) => {
  const { chance, nowIso } = useWorkshop();
  const saveFile = useSaveFile();
  const navigate = useNavigate();
  const deletePiece = useDeletePiece();
  const add = useAddPiece();
  const addOrder = useAdd(orderKind);
  const { undo } = useUndo();
  const { tell, failed } = useNotify();
  const save = (): void => saveFile.save(piece.id, ending => fileName(piece.name, ending));
  const again = (plan: PlanInput = piece.plan, woolId: string | null = piece.woolId): void => {
    const planned = pieceAgain(piece, { id: chance.newId(), name: `${piece.name}, again`, now: nowIso() });
    const copy = withPlan({ ...planned, woolId }, plan);
    add(copy).then(() => navigate(`/pieces/${copy.id}/plan`), failed);
  };
  /** A promise of one's own: this piece, by a day. */
  const promise = (): void => {
    const order = newOrder({
      id: chance.newId(),
      name: piece.name,
      sort: 'gift',
      now: nowIso(),
      lines: [newLine({ id: chance.newId(), pieceId: piece.id, count: piece.plan.pieces })],
    });
    addOrder(order).then(() => navigate(`/orders/${order.id}`), failed);
  };
  const remove = (): void => {
    deletePiece(piece, `delete ${piece.name}`);
    tell({
      text: `${piece.name} is deleted.`,
      action: { label: 'Undo', run: undo },
    });
    void navigate('/');
  };
  return { save, again, promise, remove };
};

/** On a phone: the other stages, units, light and help behind one button. */
const BenchMenu = (props: { readonly pieceId: string; readonly withStages: boolean }) => {
  const { pieceId, withStages } = props;
  const { units } = useSettings();
  const change = useChangeSettings();
  const { isDark, openHelp } = useShellActs();
  const navigate = useNavigate();
  return (
    <Menu
      label="Menu"
      items={[
        ...STAGES.filter(s => withStages && s.to !== 'bench').map(s => ({
          text: s.text,
          run: () => void navigate(`../${s.to}`, { relative: 'path' }),
        })),
        { text: 'What if …', run: () => void navigate(`/rehearse/${pieceId}?from=log`) },
        {
          text: units === 'metric' ? 'Inches and ounces' : 'Centimetres and grams',
          run: () => change({ units: units === 'metric' ? 'imperial' : 'metric' }),
        },
        { text: isDark ? 'Light' : 'Dark', run: () => change({ theme: isDark ? 'light' : 'dark' }) },
        { text: 'Keyboard shortcuts', run: openHelp },
      ]}
    />
  );
};

/** Not drawn again with every letter of a name. */
const StageLinks = memo(() => (
  <nav aria-label="Stages" className="order-last flex w-full sm:order-none sm:w-auto">
    {STAGES.map(s => (
      <NavLink
        key={s.to}
        to={s.to}
        replace={false}
        className="flex min-h-10 items-center border-x border-t border-transparent px-1 text-[15px] max-sm:flex-1 max-sm:justify-center sm:px-3 sm:text-base aria-[current=page]:bg-ink aria-[current=page]:font-semibold aria-[current=page]:text-soap"
      >
        {s.text}
      </NavLink>
    ))}
  </nav>
));

const PieceStrip = ({
  piece,
  change,
}: {
  readonly piece: Piece;
  readonly change: PieceContext['change'];
}) => {
  const { save, again, promise, remove } = usePieceActs(piece);
  const navigate = useNavigate();
  const roomy = useRoomy('lg');
  const roomyForStages = useRoomy('md');
  const atBench = useAtBench();
  const { units } = useSettings();
  const [otherwise, setOtherwise] = useState(false);
  const [card, setCard] = useState(false);
  const made = planOf(piece.plan);
  const acts = [
    { text: 'Make again', run: () => again() },
    { text: 'Another size', run: () => setOtherwise(true) },
    { text: 'Recipe card', run: () => setCard(true) },
    { text: 'Rehearse it', run: () => void navigate(`/rehearse/${piece.id}`) },
    { text: 'What if …', run: () => void navigate(`/rehearse/${piece.id}?from=log`) },
    { text: 'Promise it by a day', run: promise },
    { text: 'Save piece', run: save },
    { text: 'Delete', run: remove },
  ];
  return (
    <div
      className={`no-print flex items-center gap-x-4 gap-y-1 border-b-2 border-ink bg-steam px-4 py-1 ${atBench ? '' : 'flex-wrap'}`}
    >
      {atBench && (
        <Link to="/" className="flex min-h-10 shrink-0 items-center" aria-label="Back to the table">
          ‹ Table
        </Link>
      )}
      <TextField
        label="Name of the piece"
        hideLabel
        className={`flex-1 text-lg font-semibold lg:w-60 lg:flex-none ${atBench ? 'min-w-0' : 'min-w-40'}`}
        value={piece.name}
        required
        onText={name => change(p => ({ ...p, name }), { label: 'name', key: 'name' })}
      />
      {piece.sample && <span className="text-[13px] text-chalk max-lg:hidden">sample</span>}
      {(!atBench || roomyForStages) && <StageLinks />}
      {atBench && roomy && (
        <div className="ml-auto flex gap-1">
          <Button look="bare" onClick={() => void navigate(`/rehearse/${piece.id}?from=log`)}>
            What if …
          </Button>
          <ViewButtons />
        </div>
      )}
      {atBench && !roomy && <BenchMenu pieceId={piece.id} withStages={!roomyForStages} />}
      {!atBench && (
        <div className="ml-auto flex gap-1">
          {roomy ? (
            <>
              {acts.slice(0, 1).map(a => (
                <Button key={a.text} look="bare" onClick={a.run}>
                  {a.text}
                </Button>
              ))}
              <Menu label="More" items={acts.slice(1)} />
            </>
          ) : (
            <Menu label="More" items={acts} />
          )}
        </div>
      )}
      {card && made.ok && (
        <CardDialog piece={piece} plan={made.value} units={units} open={card} onOpenChange={setCard} />
      )}
      {otherwise && (
        <AgainDialog
          piece={piece}
          units={units}
          open={otherwise}
          onOpenChange={setOtherwise}
          onMake={(plan, woolId) => {
            setOtherwise(false);
            again(plan, woolId);
          }}
        />
      )}
    </div>
  );
};

const Frame = ({ piece, entries }: { readonly piece: Piece; readonly entries: readonly Entry[] }) => {
  const stage = useStage(piece, entries);
  const atBench = useAtBench();
  const last = useLastTime(piece);
  const { pathname } = useLocation();
  useTitle(piece.name, STAGES.find(s => pathname.endsWith(`/${s.to}`))?.text ?? 'Plan');
  return (
    <>
      <h1 className="sr-only">{piece.name}</h1>
      <PieceStrip piece={piece} change={stage.change} />
      {!atBench && <LastTime last={last} />}
      <Outlet context={stage} />
    </>
  );
};

/** A piece with its stages. The table stays where it is; the stage changes what stands beside it. */
export const PieceFrame = () => {
  const { pieceId = '' } = useParams();
  const piece = usePiece(pieceId);
  const entries = useEntries(pieceId);
  if (piece === undefined || entries === undefined) return <p className="p-4">Opening …</p>;
  if (piece === null || piece.deletedAt !== null)
    return (
      <div className="p-8">
        <h1 className="text-3xl font-semibold">This piece is not in this browser.</h1>
        <p className="mt-2">It was cleared, or made in another browser. Open it from a file.</p>
        <Link to="/" className="mt-3 inline-block underline">
          Back to the table
        </Link>
      </div>
    );
  return <Frame key={pieceId} piece={piece} entries={entries} />;
};
