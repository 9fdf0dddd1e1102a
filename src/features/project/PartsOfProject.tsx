import { Link } from 'react-router';
import { isMisfit, joinOf } from '../../core/project/joins';
import { joinWords } from '../../words/joins';
import { PART_SORTS, PART_USUAL, type PartSort } from '../../core/project/partSorts';
import { planOf } from '../../core/plan/planOf';
import { dryLines } from '../../core/plan/outcome';
import type { Part } from '../../records/part';
import type { Piece } from '../../records/piece';
import type { Project } from '../../records/project';
import { usePartsLeft } from '../../session/useNeeds';
import { useParts, usePieces, useSettings } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { namedOptions, Select, wordOptions } from '../../ui/Select';
import type { SectionProps } from './sectionProps';

/** How wide a piece is at the least, mm: as it came out, else as it is wanted; null where its plan cannot be made. */
const leastMm = (piece: Piece | undefined): number | null => {
  const plan = piece && planOf(piece.plan);
  if (!piece || !plan?.ok) return null;
  const lines = dryLines(plan.value.form, piece.result.readings).map(
    g => piece.result.readings[g.id] ?? g.wantedMm,
  );
  return lines.length === 0 ? null : Math.min(...lines);
};

const PartRow = (
  props: SectionProps & { readonly slot: Project['parts'][number]; readonly widthMm: number | null },
) => {
  const { slot, change, widthMm } = props;
  const parts = useParts();
  const left = usePartsLeft();
  const { units } = useSettings();
  const own: Part | undefined = parts.find(p => p.id === slot.partId);
  const unit = own?.unit ?? PART_USUAL[slot.sort].unit;
  const join = joinOf(slot.sort, own?.sizeMm ?? null, widthMm);
  const there = own ? left(own) : null;
  const set = (more: Partial<Project['parts'][number]>): void =>
    change(
      p => ({ ...p, parts: p.parts.map(x => (x.id === slot.id ? { ...x, ...more } : x)) }),
      'parts of the project',
    );
  return (
    <li className="flex flex-wrap items-end gap-3 border-b border-rim py-2">
      <NumberField
        className="w-24"
        label={`How much ${slot.sort}`}
        unit={unit === 'pieces' ? '×' : unit}
        shown={String(Math.round(1000 * slot.count) / 1000)}
        read={reader('count', units, { min: 0.001, max: 100_000 })}
        onValue={count => set({ count })}
      />
      <Select
        label="Sort"
        value={slot.sort}
        options={wordOptions(PART_SORTS)}
        onPick={sort => set({ sort, partId: null })}
      />
      <Select
        label={`Which ${slot.sort}`}
        value={slot.partId ?? ''}
        options={namedOptions(
          parts.filter(p => p.sort === slot.sort),
          'not chosen yet',
        )}
        onPick={id => set({ partId: id === '' ? null : id })}
      />
      <span className="min-w-40 flex-1 pb-1 text-[15px]">
        {there !== null && (
          <span className={there < slot.count ? 'font-semibold text-wanted' : ''}>
            {Math.round(100 * there) / 100} {unit} on the shelf.{' '}
          </span>
        )}
        {join && (
          <span className={isMisfit(join) ? 'font-semibold text-wanted' : 'text-chalk'}>
            {joinWords(join, units)}
          </span>
        )}
      </span>
      <Button
        look="bare"
        aria-label={`Take ${slot.sort} out`}
        onClick={() =>
          change(p => ({ ...p, parts: p.parts.filter(x => x.id !== slot.id) }), 'parts of the project')
        }
      >
        Take out
      </Button>
    </li>
  );
};

/** The parts that go into it, and whether they fit. */
export const PartsOfProject = (props: SectionProps) => {
  const { project, change } = props;
  const pieces = usePieces() ?? [];
  const { chance } = useWorkshop();
  // What a cap or a back is set on: the first piece that is chosen.
  const widths = project.pieces.flatMap(s => leastMm(pieces.find(p => p.id === s.pieceId)) ?? []);
  const add = (sort: PartSort): void =>
    change(
      p => ({ ...p, parts: [...p.parts, { id: chance.newId(), sort, count: 1, partId: null }] }),
      'parts of the project',
    );
  return (
    <section aria-labelledby="parts">
      <h2 id="parts" className="border-b border-ink text-lg font-semibold">
        Parts
      </h2>
      <ul>
        {project.parts.map(slot => (
          <PartRow key={slot.id} {...props} slot={slot} widthMm={widths[0] ?? null} />
        ))}
      </ul>
      <div className="mt-2 flex gap-2">
        <Button onClick={() => add('other')}>Add a part</Button>
        <Link to="/parts" className="self-center underline">
          Parts on the shelf
        </Link>
      </div>
    </section>
  );
};
