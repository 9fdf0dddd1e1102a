import { calmly } from '../calmly';
import type { Role, Scene } from '../../drawing/scene';

const NAMES: Readonly<Partial<Record<Role, string>>> = {
  laid: 'laid',
  now: 'now',
  wanted: 'target',
  wool: 'wool with its fold-over',
  mouth: 'opening, stays open',
  fold: 'fold line',
  opening: 'cut out of the resist',
  hardest: 'work this edge hardest',
};

const ORDER: readonly Role[] = [
  'laid',
  'now',
  'wanted',
  'wool',
  'mouth',
  'opening',
  'fold',
  'cut',
  'hardest',
];

/** What the lines of a drawing mean, in the same dash and colour as on the table. */
export const Legend = ({ scene }: { readonly scene: Scene }) => (
  <ul className="pointer-events-none absolute right-2 bottom-1 left-9 flex flex-wrap justify-end gap-x-4 text-[13px] text-ink">
    {ORDER.filter(role => scene.shapes.some(s => s.role === role)).map(role => (
      <li key={role} className="flex items-center gap-1.5">
        <svg width="34" height="10" aria-hidden="true">
          <path d="M1 5H33" className={`line line-${role}`} />
        </svg>
        {NAMES[role] ?? role}
      </li>
    ))}
  </ul>
);

/** The same, drawn after what was typed or chosen beside it. */
export const CalmLegend = calmly(Legend);
