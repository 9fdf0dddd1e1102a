import { useNavigate } from 'react-router';
import type { FormKind } from '../../core/forms/formKind';
import { FORM_KINDS } from '../../core/forms/registry';
import { makePlan } from '../../core/plan/makePlan';
import { svgPathData } from '../../drawing/pathSink';
import { pieceScene } from '../../drawing/scene';
import { newPiece, newPlan } from '../../records/piece';
import { newId, nowIso } from '../../session/clock';
import { useNotify } from '../../session/notices';
import { useAddPiece } from '../../session/useChanges';
import { useTitle } from '../../ui/useTitle';

const BOX_PX = 190;

const Picture = ({ kind }: { readonly kind: FormKind }) => {
  const plan = makePlan(newPlan(kind));
  if (!plan.ok) return null;
  const scene = pieceScene(plan.value.form, { foldOverMm: 0 });
  const { minX, minY, maxX, maxY } = scene.box;
  const scale = (BOX_PX - 10) / Math.max(maxX - minX, maxY - minY);
  return (
    <svg width={BOX_PX} height={BOX_PX} aria-hidden="true">
      <g
        transform={`translate(${BOX_PX / 2 - ((minX + maxX) / 2) * scale} ${BOX_PX / 2 - ((minY + maxY) / 2) * scale}) scale(${scale})`}
      >
        {scene.shapes.map((s, i) => (
          <path key={i} d={svgPathData(s.points, s.closed, 1)} className={`line line-${s.role}`} />
        ))}
      </g>
    </svg>
  );
};

/** New piece: chosen by its picture. */
export const NewPieceView = () => {
  useTitle('New piece');
  const add = useAddPiece();
  const navigate = useNavigate();
  const { failed } = useNotify();
  const begin = (kind: FormKind): void => {
    const piece = newPiece({ id: newId(), name: kind.title, now: nowIso(), plan: newPlan(kind) });
    add(piece).then(() => navigate(`/pieces/${piece.id}/plan`), failed);
  };
  return (
    <div className="min-h-0 flex-1 overflow-auto bg-table px-6 py-4">
      <h1 className="text-3xl font-semibold">What will it be?</h1>
      <p className="mb-5 max-w-prose">
        Choose by its outline. The dashed line is what you lay, the dotted one what it becomes; every measure
        can be changed in the next step.
      </p>
      <ul className="flex flex-wrap gap-x-8 gap-y-6">
        {FORM_KINDS.map(kind => (
          <li key={kind.kind}>
            <button
              type="button"
              onClick={() => begin(kind)}
              className="group flex flex-col items-start gap-1 rounded-bench p-2 text-left"
            >
              <Picture kind={kind} />
              <span className="border-t-2 border-ink pt-1 text-lg font-semibold group-hover:underline">
                {kind.title}
              </span>
              <span className="max-w-48 text-chalk">{kind.purpose}</span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
};
