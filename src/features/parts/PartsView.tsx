import { useState } from 'react';
import { Link } from 'react-router';
import { PART_SORTS, PART_UNITS, PART_USUAL } from '../../core/project/partSorts';
import { download } from '../../files/download';
import { type PartRow, readPartsCsv, writePartsCsv } from '../../files/partsCsv';
import { textOf } from '../../files/textOf';
import { newPart, type Part, partKind } from '../../records/part';
import { localDay } from '../../session/clock';
import { useNotify } from '../../session/notices';
import { useAddPart, useChangePart } from '../../session/useChanges';
import { useDeleteTold } from '../../session/useDeleteTold';
import { usePartsLeft } from '../../session/useNeeds';
import { useParts, useSettings } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { Button, buttonClass } from '../../ui/Button';
import { FileButton } from '../../ui/FileButton';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { Select, wordOptions } from '../../ui/Select';
import { TextField } from '../../ui/TextField';
import { useTitle } from '../../ui/useTitle';
import { issueText } from '../../words/issues';

/** What the size of a part is. */
const SIZE_WORDS = {
  inside: 'Inside, mm',
  length: 'Length, mm',
  thickness: 'Thickness, mm',
  across: 'Across, mm',
} as const;

const tidy = (value: number): string => String(Math.round(1000 * value) / 1000);

const Row = ({ part }: { readonly part: Part }) => {
  const changePart = useChangePart();
  const remove = useDeleteTold(partKind);
  const { units } = useSettings();
  const { nowIso } = useWorkshop();
  const left = usePartsLeft()(part);
  const size = PART_USUAL[part.sort].size;
  const change = (how: (p: Part) => Part, label: string): void =>
    changePart(part.id, how, { label, key: label });
  return (
    <li className="flex flex-wrap items-end gap-3 border-b border-rim py-2">
      <TextField
        label="Name"
        className="min-w-44 flex-1"
        value={part.name}
        required
        onText={name => change(p => ({ ...p, name: name.slice(0, 200) }), 'name of the part')}
      />
      <Select
        label="Sort"
        value={part.sort}
        options={wordOptions(PART_SORTS)}
        onPick={sort => change(p => ({ ...p, sort, unit: PART_USUAL[sort].unit }), 'sort of the part')}
      />
      <NumberField
        className="w-28"
        label="On the shelf"
        unit={part.unit === 'pieces' ? '×' : part.unit}
        shown={left === null ? '' : tidy(left)}
        read={reader('count', units, { min: 0, max: 1e7 })}
        onValue={counted => change(p => ({ ...p, counted, countedAt: nowIso() }), 'count of the part')}
        onEmpty={() => change(p => ({ ...p, counted: null, countedAt: null }), 'count of the part')}
      />
      <Select
        label="Counted in"
        value={part.unit}
        options={wordOptions(PART_UNITS)}
        onPick={unit => change(p => ({ ...p, unit }), 'unit of the part')}
      />
      <NumberField
        className="w-24"
        label={part.unit === 'pieces' ? 'Price of one' : `Price of 1 ${part.unit}`}
        shown={part.price === null ? '' : tidy(part.price)}
        read={reader('count', units, { min: 0, max: 1e9 })}
        onValue={price => change(p => ({ ...p, price }), 'price of the part')}
        onEmpty={() => change(p => ({ ...p, price: null }), 'price of the part')}
      />
      {size && (
        <NumberField
          className="w-28"
          label={SIZE_WORDS[size]}
          shown={part.sizeMm === null ? '' : tidy(part.sizeMm)}
          read={reader('count', units, { min: 0.1, max: 50_000 })}
          onValue={sizeMm => change(p => ({ ...p, sizeMm }), 'size of the part')}
          onEmpty={() => change(p => ({ ...p, sizeMm: null }), 'size of the part')}
        />
      )}
      <Button look="bare" aria-label={`Delete ${part.name}`} onClick={() => remove(part)}>
        Delete
      </Button>
    </li>
  );
};

/** A table of parts read in: known names are updated, others are new. */
const useTable = () => {
  const parts = useParts();
  const add = useAddPart();
  const changePart = useChangePart();
  const { failed } = useNotify();
  const { chance, nowIso } = useWorkshop();
  const [said, setSaid] = useState<readonly string[]>([]);
  const put = async (row: PartRow): Promise<void> => {
    const known = parts.find(p => p.name === row.name);
    const now = nowIso();
    const updated = (p: Part): Part => ({
      ...p,
      sort: row.sort,
      unit: row.unit ?? p.unit,
      counted: row.counted ?? p.counted,
      countedAt: row.counted === null ? p.countedAt : now,
      price: row.price ?? p.price,
      sizeMm: row.sizeMm ?? p.sizeMm,
      notes: row.notes || p.notes,
    });
    if (known) changePart(known.id, updated, { label: 'table of parts' });
    else await add(updated(newPart({ id: chance.newId(), name: row.name, sort: row.sort, now })));
  };
  const read = async (file: File): Promise<void> => {
    const text = textOf(new Uint8Array(await file.arrayBuffer()));
    const got = text.ok ? readPartsCsv(text.value) : text;
    if (!got.ok) return setSaid(got.issues.map(issueText));
    for (const row of got.value.rows) await put(row);
    setSaid([`Imported: ${got.value.rows.length} parts.`, ...got.value.problems.slice(0, 6).map(issueText)]);
  };
  return { said, onFile: (file: File): void => void read(file).catch(failed) };
};

/** Parts on the shelf: what goes into a finished thing beside felt. */
export const PartsView = () => {
  useTitle('Parts');
  const parts = useParts();
  const add = useAddPart();
  const left = usePartsLeft();
  const { failed } = useNotify();
  const { chance, nowIso } = useWorkshop();
  const table = useTable();
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3 overflow-auto px-6 py-4">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="text-3xl font-semibold">Parts</h1>
        <Button
          look="main"
          onClick={() =>
            void add(newPart({ id: chance.newId(), name: 'New part', sort: 'other', now: nowIso() })).catch(
              failed,
            )
          }
        >
          Add a part
        </Button>
        <span className="ml-auto flex flex-wrap gap-2">
          <Link to="/shelf" className={buttonClass('plain', 'dry')}>
            Wools on the shelf
          </Link>
          <Button
            onClick={() =>
              download(`jorrit-parts-${localDay(nowIso())}.csv`, 'text/csv', writePartsCsv(parts, left))
            }
          >
            Save as CSV
          </Button>
          <FileButton accept=".csv,text/csv" onPick={table.onFile}>
            Import a CSV
          </FileButton>
        </span>
      </div>
      {table.said.map(text => (
        <p key={text} role="status">
          {text}
        </p>
      ))}
      {parts.length === 0 ? (
        <p className="max-w-prose text-lg">
          No parts yet. Caps, clasps, brooch backs, wire, cord, glue: count them here, and a project says what
          is short.
        </p>
      ) : (
        <ul aria-label="Parts">
          {parts.map(part => (
            <Row key={part.id} part={part} />
          ))}
        </ul>
      )}
    </div>
  );
};
