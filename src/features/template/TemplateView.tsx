import { useMemo, useState } from 'react';
import { issueText } from '../../words/issues';
import type { Plan } from '../../core/plan/makePlan';
import { DASHED_LINE } from '../../drawing/dashedLine';
import { PAPER_NAMES, type Orientation, PAPERS, planSheets, type SheetPlan } from '../../drawing/sheets';
import type { Scene } from '../../drawing/scene';
import { canHalve, makeTemplate, type Template } from '../../drawing/template';
import { download, fileName } from '../../files/download';
import { templateDxf } from '../../files/templateDxf';
import { templateSvg } from '../../files/templateSvg';
import { localDay } from '../../session/clock';
import { useWorkshop } from '../../session/workshop';
import { useNotify } from '../../session/notices';
import { type PieceContext, usePieceContext } from '../../session/pieceContext';
import { useChangeSettings } from '../../session/useChanges';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { ViewLayout } from '../../ui/ViewLayout';
import { CalmLegend } from '../../ui/table/Legend';
import { CalmTable } from '../../ui/table/Table';
import { toScreen, type View } from '../../ui/table/view';

const SheetOutlines = ({ sheets, view }: { readonly sheets: SheetPlan; readonly view: View }) => (
  <g>
    {sheets.sheets.map(s => {
      const a = toScreen(view, { x: s.window.minX, y: s.window.minY });
      const b = toScreen(view, { x: s.window.maxX, y: s.window.maxY });
      return (
        <rect
          key={s.name}
          x={a.x}
          y={a.y}
          width={b.x - a.x}
          height={b.y - a.y}
          className="fill-soap/60 stroke-rim"
          strokeWidth={1}
        />
      );
    })}
  </g>
);

/** Names of the sheets and the crosses they are joined by, over the drawing. */
const SheetMarks = ({ sheets, view }: { readonly sheets: SheetPlan; readonly view: View }) => (
  <g aria-hidden="true">
    {sheets.sheets.map(s => {
      const a = toScreen(view, { x: s.window.minX, y: s.window.minY });
      return (
        <text key={s.name} x={a.x + 12} y={a.y + 24} className="fill-ink text-[16px] font-semibold">
          {s.name}
        </text>
      );
    })}
    {sheets.marks.map(m => {
      const p = toScreen(view, m.at);
      return (
        <path
          key={m.name}
          d={`M${p.x - 5} ${p.y}h10M${p.x} ${p.y - 5}v10`}
          className="stroke-ink"
          strokeWidth={1}
        />
      );
    })}
  </g>
);

/** Letters of the measuring lines and names of cuts, where the template carries them. */
const TemplateWords = ({ template, view }: { readonly template: Template; readonly view: View }) => (
  <g aria-hidden="true">
    {template.words.map((w, i) => {
      const p = toScreen(view, w.at);
      return (
        <text
          key={`${w.text}${i}`}
          x={p.x}
          y={p.y}
          className="gauge-name fill-chalk font-semibold"
          fontSize={Math.max(12, w.sizeMm * view.pxPerMm)}
        >
          {w.text}
        </text>
      );
    })}
  </g>
);

const useExports = (context: PieceContext, plan: Plan, half: boolean) => {
  const [progress, setProgress] = useState<{ done: number; of: number; stop: () => void } | null>(null);
  const { tell } = useNotify();
  const { workers, nowIso } = useWorkshop();
  const template = useMemo(
    () =>
      makeTemplate(plan, {
        name: context.piece.name,
        date: localDay(nowIso()),
        foldOverMm: context.piece.plan.foldOverMm,
        pieces: context.piece.plan.pieces,
        units: context.settings.units,
        half,
      }),
    [plan, context.piece.name, context.piece.plan, context.settings.units, half, nowIso],
  );
  const pdf = async (): Promise<void> => {
    const { page: paper, orientation } = context.settings;
    const abort = new AbortController();
    const stop = (): void => abort.abort();
    setProgress({ done: 0, of: 0, stop });
    const made = await workers.long.run(
      'templatePdf',
      { template, paper, orientation },
      { onProgress: (done, of) => setProgress({ done, of, stop }), signal: abort.signal },
    );
    setProgress(null);
    if (made.ok) download(fileName(`${context.piece.name} template`, 'pdf'), 'application/pdf', made.value);
    else if (!abort.signal.aborted) tell({ text: made.issues.map(issueText).join(' ') });
  };
  const svg = (): void =>
    download(fileName(`${context.piece.name} template`, 'svg'), 'image/svg+xml', templateSvg(template));
  const dxf = (): void =>
    download(fileName(`${context.piece.name} template`, 'dxf'), 'image/vnd.dxf', templateDxf(template));
  return { template, pdf, svg, dxf, progress };
};

const ORIENTATIONS: ReadonlyArray<{ readonly value: Orientation; readonly text: string }> = [
  { value: 'auto', text: 'fewest sheets' },
  { value: 'upright', text: 'portrait' },
  { value: 'lying', text: 'landscape' },
];

/** The template as it is on the table: what is exported is what is seen. */
const sceneOf = (template: Template): Scene => ({
  shapes: template.shapes,
  marks: [],
  grips: [],
  box: template.box,
});

const Drawn = ({ context, plan }: { readonly context: PieceContext; readonly plan: Plan }) => {
  const changeSettings = useChangeSettings();
  const [half, setHalf] = useState(false);
  const halves = useMemo(() => canHalve(plan.form), [plan.form]);
  const { template, pdf, svg, dxf, progress } = useExports(context, plan, half);
  const { units, page, orientation } = context.settings;
  const sheets = useMemo(() => planSheets(template.box, page, orientation), [template, page, orientation]);
  const scene = useMemo(() => sceneOf(template), [template]);
  const [first, last] = [sheets.sheets[0], sheets.sheets.at(-1)];
  const box =
    first && last ? { ...last.window, minX: first.window.minX, minY: first.window.minY } : scene.box;
  const n = sheets.rows * sheets.columns;
  return (
    <ViewLayout
      label="Template"
      table={
        <>
          <CalmTable
            scene={scene}
            units={units}
            label="Template on its sheets"
            box={box}
            under={view => <SheetOutlines sheets={sheets} view={view} />}
            over={view => (
              <>
                <TemplateWords template={template} view={view} />
                <SheetMarks sheets={sheets} view={view} />
              </>
            )}
          />
          <CalmLegend scene={scene} />
        </>
      }
      instruments={
        <div className="flex flex-col gap-4">
          <div>
            <h2 className="text-lg font-semibold">Template at true scale</h2>
            <p className="text-chalk">
              {DASHED_LINE[plan.form.outlineIs]}
              {plan.form.outlineIs === 'resist' &&
                ' The solid line around it is the wool with its fold-over.'}{' '}
              The dotted line is the target size.
            </p>
          </div>
          <div>
            <p className="mb-1 text-[13px] text-chalk">Paper</p>
            <Choice
              label="Paper"
              value={page}
              options={PAPER_NAMES.map(value => ({
                value,
                text: PAPERS[value].name,
              }))}
              onChoose={value => changeSettings({ page: value })}
            />
          </div>
          <div>
            <p className="mb-1 text-[13px] text-chalk">Orientation</p>
            <Choice
              label="Orientation"
              value={orientation}
              options={ORIENTATIONS}
              onChoose={value => changeSettings({ orientation: value })}
            />
          </div>
          {halves && (
            <div>
              <p className="mb-1 text-[13px] text-chalk">Drawn</p>
              <Choice
                label="Drawn"
                value={half ? 'half' : 'whole'}
                options={[
                  { value: 'whole', text: 'whole' },
                  { value: 'half', text: 'half, on the fold' },
                ]}
                onChoose={v => setHalf(v === 'half')}
              />
            </div>
          )}
          <p className="text-3xl font-semibold">
            {n} {n === 1 ? 'sheet' : 'sheets'}
            <span className="ml-2 text-base font-normal text-chalk">
              {sheets.columns} across, {sheets.rows} down, {sheets.landscape ? 'landscape' : 'portrait'}
            </span>
          </p>
          {!sheets.isPrintable && (
            <p className="border-l-4 border-now pl-3">
              Too many sheets to tape together. Save the DXF or SVG and have it plotted on a roll.
            </p>
          )}
          <div className="flex flex-wrap gap-2">
            <Button
              look="main"
              onClick={() => void pdf()}
              disabled={progress !== null || !sheets.isPrintable}
            >
              Save PDF
            </Button>
            <Button onClick={svg}>Save SVG</Button>
            <Button onClick={dxf}>Save DXF</Button>
          </div>
          {progress && (
            <p role="status" className="flex items-center gap-3">
              Drawing sheet {progress.done} of {progress.of || n} …{' '}
              <Button onClick={progress.stop}>Cancel</Button>
            </p>
          )}
          <ul className="list-disc pl-5 text-sm">
            <li>Print at 100 %, not “fit to page”.</li>
            <li>Before you cut, check the 100 mm line at the foot of a sheet with a ruler.</li>
            <li>Join the sheets so that crosses with the same number meet.</li>
            <li>Cut away from your other hand.</li>
          </ul>
        </div>
      }
    />
  );
};

/** Template: the outline at true scale, on paper. */
export const TemplateView = () => {
  const context = usePieceContext();
  return context.plan.ok ? (
    <>
      <div className="no-print contents">
        <Drawn context={context} plan={context.plan.value} />
      </div>
      <p className="hidden p-8 text-xl print:block">
        This page is not at true scale. Save the PDF and print it at 100 %.
      </p>
    </>
  ) : (
    <p className="p-4">Fix the plan first.</p>
  );
};
