import { type Decoration, DECORATION_KINDS } from '../../core/wool/layOrder';
import { newId } from '../../session/clock';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/TextField';

const KIND_WORDS = { motif: 'motif, yarn, locks', silk: 'silk, to be veiled', stem: 'stem or cord' } as const;

const SELECT = 'min-h-8 rounded-bench border border-rim bg-soap px-1';

/** What is laid beside the layers: each becomes a step in its place. */
export const Decorations = (props: {
  readonly decorations: readonly Decoration[];
  readonly faces: number;
  readonly onChange: (decorations: Decoration[]) => void;
}) => {
  const { decorations, faces, onChange } = props;
  const change = (id: string, more: Partial<Decoration>): void =>
    onChange(decorations.map(d => (d.id === id ? { ...d, ...more } : d)));
  const add = (): void =>
    onChange([...decorations, { id: newId(), kind: 'motif', name: '', face: 1, first: false }]);
  return (
    <div>
      <ul className="flex flex-col gap-2">
        {decorations.map((d, i) => (
          <li key={d.id} className="flex flex-wrap items-end gap-2 border-b border-rim pb-1">
            <TextField
              className="min-w-32 flex-1"
              label={`Decoration ${i + 1}`}
              value={d.name}
              onText={name => change(d.id, { name: name.slice(0, 200) })}
            />
            <select
              aria-label={`Kind of decoration ${i + 1}`}
              className={SELECT}
              value={d.kind}
              onChange={e =>
                change(d.id, { kind: DECORATION_KINDS.find(k => k === e.target.value) ?? 'motif' })
              }
            >
              {DECORATION_KINDS.map(k => (
                <option key={k} value={k}>
                  {KIND_WORDS[k]}
                </option>
              ))}
            </select>
            {faces > 1 && (
              <select
                aria-label={`Face of decoration ${i + 1}`}
                className={SELECT}
                value={d.face}
                onChange={e => change(d.id, { face: Number(e.target.value) })}
              >
                {Array.from({ length: faces }, (_, f) => (
                  <option key={f} value={f + 1}>
                    face {f + 1}
                  </option>
                ))}
              </select>
            )}
            <select
              aria-label={`When decoration ${i + 1} is laid`}
              className={SELECT}
              value={d.first ? 'first' : 'last'}
              onChange={e => change(d.id, { first: e.target.value === 'first' })}
            >
              <option value="last">on the last layer</option>
              <option value="first">before the first, face down</option>
            </select>
            <Button
              look="bare"
              aria-label={`Remove decoration ${i + 1}`}
              onClick={() => onChange(decorations.filter(other => other.id !== d.id))}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <Button className="mt-1" onClick={add}>
        Add a motif, silk or stem
      </Button>
    </div>
  );
};
