import { Link } from 'react-router';
import type { Piece } from '../../records/piece';
import type { Project } from '../../records/project';
import { usePieces, useSettings } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { namedOptions, Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';
import type { SectionProps } from './sectionProps';

/** The pieces that go into it. */
export const ProjectPieces = ({ project, change }: SectionProps) => {
  const pieces = usePieces() ?? [];
  const { units } = useSettings();
  const { chance } = useWorkshop();
  const set = (id: string, more: Partial<Project['pieces'][number]>): void =>
    change(
      p => ({ ...p, pieces: p.pieces.map(x => (x.id === id ? { ...x, ...more } : x)) }),
      'pieces of the project',
    );
  const state = (piece: Piece | undefined): string =>
    !piece ? 'not chosen yet' : piece.result.finishedAt === null ? 'not finished yet' : 'ready';
  return (
    <section aria-labelledby="pieces">
      <h2 id="pieces" className="border-b border-ink text-lg font-semibold">
        Pieces
      </h2>
      <ul>
        {project.pieces.map(slot => {
          const piece = pieces.find(p => p.id === slot.pieceId);
          return (
            <li key={slot.id} className="flex flex-wrap items-end gap-3 border-b border-rim py-2">
              <NumberField
                className="w-20"
                label={`How many of ${slot.what}`}
                unit="×"
                shown={String(slot.count)}
                read={reader('count', units, { min: 1, max: 9999 })}
                onValue={v => set(slot.id, { count: Math.round(v) })}
              />
              <TextField
                className="w-36"
                label="What"
                value={slot.what}
                required
                onText={what => set(slot.id, { what: what.slice(0, 200) })}
              />
              <Select
                label={`Which ${slot.what}`}
                value={slot.pieceId ?? ''}
                options={namedOptions(pieces, 'not chosen yet')}
                onPick={id => set(slot.id, { pieceId: id === '' ? null : id })}
              />
              <span className="min-w-28 flex-1 pb-1">
                {piece ? (
                  <Link to={`/pieces/${piece.id}/plan`} className="underline">
                    {state(piece)}
                  </Link>
                ) : (
                  <Link to="/new" className="underline">
                    plan one
                  </Link>
                )}
                {piece && slot.count > piece.plan.pieces && (
                  <span className="block text-[13px] text-wanted">
                    {slot.count - piece.plan.pieces} short: it is planned {piece.plan.pieces} times.
                  </span>
                )}
              </span>
              <Button
                look="bare"
                aria-label={`Take ${slot.what} out`}
                onClick={() =>
                  change(
                    p => ({ ...p, pieces: p.pieces.filter(x => x.id !== slot.id) }),
                    'pieces of the project',
                  )
                }
              >
                Take out
              </Button>
            </li>
          );
        })}
      </ul>
      <Button
        className="mt-2"
        onClick={() =>
          change(
            p => ({
              ...p,
              pieces: [...p.pieces, { id: chance.newId(), what: 'piece', count: 1, pieceId: null }],
            }),
            'pieces of the project',
          )
        }
      >
        Add a piece
      </Button>
    </section>
  );
};
