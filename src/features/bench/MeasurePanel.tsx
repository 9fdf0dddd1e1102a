import { memo, startTransition, useMemo } from 'react';
import { z } from 'zod';
import type { GaugeProgress } from '../../core/forecast/forecast';
import { isFelt } from '../../core/forms/fits';
import type { FormPlan } from '../../core/forms/formKind';
import { MM_PER_INCH } from '../../core/units/constants';
import { homeUnit, parseQuantity, showFigure, showQuantity, type UnitSystem } from '../../core/units/units';
import { svgPathData } from '../../drawing/pathSink';
import { pieceScene } from '../../drawing/scene';
import { useKeptDraft } from '../../session/useKeptDraft';
import { type Shortcut, useShortcuts } from '../../session/shortcuts';
import { readingQuestion } from '../../core/advice/readingQuestion';
import { HOW_TO_MEASURE, questionWords } from '../../words/readings';
import { Button } from '../../ui/Button';
import { useGradually } from '../../ui/useGradually';
import { useSteady } from '../../ui/useSteady';
import { useSteps } from '../../ui/useSteps';
import { GreatPlace, UndoPlace } from './BenchFrame';
import { FIGURES, FigureKeys } from './FigureKeys';

const DraftSchema = z.object({
  readings: z.record(z.string(), z.number().nullable()),
  typed: z.string(),
  /** The units it was typed in: a figure stays what it was when others are shown. */
  units: z.enum(['metric', 'imperial']),
  at: z.number().int().min(0),
  /** How long the log was: lengths taken before more work was done are not those of now. */
  logged: z.number().int(),
});
type Draft = z.infer<typeof DraftSchema>;

/** The piece as laid, with the line that is measured now lit. */
const LitGauge = memo(({ form, lit: asked }: { readonly form: FormPlan; readonly lit: string }) => {
  const scene = useMemo(() => pieceScene(form, { foldOverMm: 0 }), [form]);
  // A frame after the question.
  const lit = useGradually(asked, 2)(1);
  const { minX, minY, maxX, maxY } = scene.box;
  const around = 0.06 * Math.max(maxX - minX, maxY - minY);
  const box = `${minX - around} ${minY - around} ${maxX - minX + 2 * around} ${maxY - minY + 2 * around}`;
  return (
    <svg viewBox={box} className="hidden h-52 w-72 shrink-0 sm:block lg:h-36" aria-hidden="true">
      {scene.shapes
        .filter(s => s.role === 'laid')
        .map((s, i) => (
          <path key={i} d={svgPathData(s.points, s.closed, 1)} className={`line line-${s.role}`} />
        ))}
      {scene.marks.map(m => (
        <path
          key={m.gauge.id}
          d={svgPathData([m.from, m.to], false, 1)}
          className={m.gauge.id === lit ? 'line stroke-ink' : 'line line-gauge'}
          strokeWidth={m.gauge.id === lit ? 6 : 1}
        />
      ))}
    </svg>
  );
});
LitGauge.displayName = 'LitGauge';

/** What the keys begin with: the last length; of a hole that was never measured what it is to have, of felt what the others say. */
const offeredMm = ({ gauge, measured, nowMm }: GaugeProgress, all: readonly GaugeProgress[]): number => {
  if (measured) return nowMm;
  if (!isFelt(gauge)) return gauge.wantedMm;
  const shares = all.filter(s => s.measured).map(s => s.nowMm / s.gauge.laidMm);
  return shares.length === 0 ? nowMm : gauge.laidMm * (shares.reduce((a, b) => a + b, 0) / shares.length);
};

/** The keys stay as they are, whatever is typed on them. */
const Keys = memo(function Keys(props: {
  readonly units: UnitSystem;
  readonly onKey: (key: string) => void;
  readonly onDelete: () => void;
  readonly onNudge: (steps: number) => void;
  readonly onSkip: () => void;
  readonly onPicture: () => void;
}) {
  return (
    <>
      <FigureKeys onKey={props.onKey} onDelete={props.onDelete}>
        <Button
          size="wet"
          className="col-start-4 row-start-1 !px-1 whitespace-nowrap"
          onClick={() => props.onNudge(1)}
          aria-label="A step longer"
        >
          +{props.units === 'metric' ? '1 mm' : '1/8'}
        </Button>
        <Button
          size="wet"
          className="col-start-4 row-start-2 !px-1 whitespace-nowrap"
          onClick={() => props.onNudge(-1)}
          aria-label="A step shorter"
        >
          −{props.units === 'metric' ? '1 mm' : '1/8'}
        </Button>
        <Button size="wet" className="col-start-4 row-span-2 row-start-3" onClick={props.onSkip}>
          Skip
        </Button>
      </FigureKeys>
      <Button size="wet" onClick={props.onPicture}>
        By a picture …
      </Button>
    </>
  );
});

export interface MeasurePanelProps {
  readonly form: FormPlan;
  readonly pieceId: string;
  readonly gaugeProgress: readonly GaugeProgress[];
  readonly units: UnitSystem;
  /** Entries in the log. */
  readonly logged: number;
  readonly onDone: (readings: Record<string, number | null>) => void;
  /** To a picture instead of a tape. */
  readonly onPicture: () => void;
  readonly onCancel: () => void;
}

/** Measuring: one measuring line at a time, on big keys. What is half typed survives the tab. */
export const MeasurePanel = (props: MeasurePanelProps) => {
  const { pieceId, form, gaugeProgress, units, logged, onDone, onCancel } = props;
  const [kept, setKept] = useKeptDraft<Draft>(`jorrit.measuring.${pieceId}`, DraftSchema);
  // The question first, then the keys for it: between the two the bench answers.
  const isWhole = useSteps(2) > 1;
  const draft: Draft = kept?.logged === logged ? kept : { readings: {}, typed: '', units, at: 0, logged };
  const gaugeNow = gaugeProgress[Math.min(draft.at, gaugeProgress.length - 1)];
  const step = units === 'metric' ? 1 : MM_PER_INCH / 8;
  const typedMm = draft.typed === '' ? null : parseQuantity(draft.typed, 'length', draft.units);
  const typed =
    draft.units === units || typedMm === null ? draft.typed : showFigure(typedMm, 'length', { units });
  const offered = gaugeNow && offeredMm(gaugeNow, gaugeProgress);
  const mm = typed === '' ? (offered ?? null) : typedMm;
  const ofFelt = isFelt(gaugeNow?.gauge ?? {});
  const question =
    gaugeNow && ofFelt && mm !== null && typed.length > 1 ? readingQuestion(gaugeNow, mm) : null;
  const asked = gaugeNow && question ? questionWords(question, gaugeNow.gauge, units) : null;

  const type = (text: string): void => setKept({ ...draft, typed: text, units });
  const press = (key: string): void => {
    if (typed.includes('/')) type(key);
    else if (typed.length < 7) type(typed + key);
  };
  const nudge = (by: number): void => {
    if (mm !== null)
      type(showFigure(Math.max(step, Math.round(mm / step) * step + by * step), 'length', { units }));
  };
  const take = (value: number | null): void => {
    if (!gaugeNow) return;
    const readings = { ...draft.readings, [gaugeNow.gauge.id]: value };
    if (draft.at + 1 < gaugeProgress.length)
      return setKept({ ...draft, readings, typed: '', at: draft.at + 1 });
    // With the panel, not before it: its first line is not asked for again while it goes.
    startTransition(() => setKept(null));
    if (Object.values(readings).some(v => v !== null)) onDone(readings);
    else onCancel();
  };
  const good = mm !== null && mm > 0 && mm < 50_000;
  /** To the line before; from the first back to the bench, where what was typed waits. */
  const back = (): void => {
    const before = gaugeProgress[draft.at - 1];
    if (!before) return onCancel();
    const was = draft.readings[before.gauge.id];
    setKept({
      ...draft,
      at: draft.at - 1,
      units,
      typed: typeof was === 'number' ? showFigure(was, 'length', { units }) : '',
    });
  };
  const onKey = useSteady(press);
  const onDelete = useSteady(() => type(typed.slice(0, -1)));
  const onNudge = useSteady(nudge);
  const onSkip = useSteady(() => take(null));
  const onPicture = useSteady(props.onPicture);
  const shortcuts: Shortcut[] = [
    {
      keys: ['Enter', ' ', 'PageDown'],
      shown: 'Enter',
      does: 'accept this length',
      run: () => good && take(mm),
    },
    { keys: ['ArrowUp'], shown: '↑', does: 'a step longer', run: () => nudge(1), repeats: true },
    { keys: ['ArrowDown'], shown: '↓', does: 'a step shorter', run: () => nudge(-1), repeats: true },
    { keys: ['Backspace'], shown: '⌫', does: 'delete the last digit', run: () => type(typed.slice(0, -1)) },
    { keys: ['Escape', 'PageUp'], shown: 'Esc', does: 'back one line, or back to the bench', run: back },
    ...FIGURES.map(k => ({
      keys: k === '.' ? ['.', ','] : [k],
      shown: k,
      does: 'digit',
      run: () => press(k),
    })),
  ];
  useShortcuts(shortcuts);
  if (!gaugeNow) return null;

  return (
    <div role="group" aria-label="Measure" className="flex flex-1 flex-col gap-2 sm:gap-3">
      <p className="text-lg leading-tight sm:text-2xl">
        <span className="font-semibold">
          {gaugeNow.gauge.id}, {gaugeNow.gauge.name}.
        </span>{' '}
        <span className="text-chalk">{HOW_TO_MEASURE[gaugeNow.gauge.how ?? 'felt']}</span>
      </p>
      <div className="flex items-center gap-6">
        {isWhole && <LitGauge form={form} lit={gaugeNow.gauge.id.split('/')[0] ?? gaugeNow.gauge.id} />}
        <div className="flex-1 text-right">
          <output
            className={`block text-right text-7xl leading-none font-semibold sm:text-8xl ${typed === '' ? 'text-chalk' : ''}`}
            aria-label={`${gaugeNow.gauge.id} now`}
          >
            {typed === '' ? showFigure(offered ?? gaugeNow.nowMm, 'length', { units: units }) : typed}
            <span className="ml-2 text-3xl font-normal text-chalk">{homeUnit('length', units)}</span>
          </output>
          <p role="status" className={`min-h-7 text-lg sm:min-h-14 ${asked ? 'text-ink' : 'text-chalk'}`}>
            {asked ??
              (typed !== '' && !good
                ? 'That is not a length.'
                : [
                    ...(gaugeNow.measured || ofFelt
                      ? [`last ${showQuantity(gaugeNow.nowMm, 'length', units)}`]
                      : []),
                    ...(form.asItComes
                      ? []
                      : [`target ${showQuantity(gaugeNow.gauge.wantedMm, 'length', units)}`]),
                  ].join(', '))}
          </p>
        </div>
      </div>
      {isWhole && (
        <Keys
          units={units}
          onKey={onKey}
          onDelete={onDelete}
          onNudge={onNudge}
          onSkip={onSkip}
          onPicture={onPicture}
        />
      )}
      <GreatPlace
        great={{
          words: asked
            ? 'Keep it as it is'
            : draft.at + 1 < gaugeProgress.length
              ? `OK ${gaugeNow.gauge.id}, next ${gaugeProgress[draft.at + 1]?.gauge.id ?? ''}`
              : `OK ${gaugeNow.gauge.id}, done`,
          run: () => take(mm),
          isDisabled: !good,
        }}
      />
      <UndoPlace words="Back" run={back} />
    </div>
  );
};
