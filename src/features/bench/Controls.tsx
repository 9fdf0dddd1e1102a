import { type ReactNode, useState } from 'react';
import { type Act, controlOf } from '../../core/acts/act';
import type { Judge } from '../../core/acts/vocabulary';
import { DIRECTION } from '../../core/acts/actWords';
import { CUSHION_WORDS } from '../../core/acts/cushionWords';
import { type Cushion, CUSHIONS, PRESSURES, ROLL_DIRECTIONS } from '../../core/acts/vocabulary';
import type { FormPlan } from '../../core/forms/formKind';
import { tableAngle } from '../../drawing/orient';
import type { Settings } from '../../records/settings';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Sign } from '../../ui/Sign';
import { turnOfLine } from './turnOfLine';
import type { BenchKind, ActOverride } from './chosenAct';
import { PRESSURE_WORDS } from '../../words/bench';

/** How its maker tells how far it is: the tape, or the drawing. By feel there is only the pinch. */
const TOLD_BY: Readonly<Record<Judge, ReadonlyArray<{ readonly value: BenchKind; readonly text: string }>>> =
  {
    tape: [{ value: 'measure', text: 'Measure' }],
    drawing: [{ value: 'compare', text: 'Drawing' }],
    feel: [],
  };

/** The row of acts of a way, each with what stands on its key. */
export const keysOf = (
  kinds: readonly string[],
  judge: Judge,
): ReadonlyArray<{ readonly value: BenchKind; readonly text: string }> => [
  ...kinds.flatMap(kind => {
    const key = controlOf(kind)?.key;
    return key ? [{ value: kind, text: key }] : [];
  }),
  ...TOLD_BY[judge],
  { value: 'pinch', text: 'Pinch' },
];

/** Which act the great button logs. */
export const KindChoice = ({
  kinds,
  judge,
  kind,
  onKind,
}: {
  /** Acts of the way in which the piece is worked. */
  readonly kinds: readonly string[];
  readonly judge: Judge;
  readonly kind: BenchKind;
  readonly onKind: (kind: BenchKind) => void;
}) => (
  <Choice label="Act" size="row" isAdvised value={kind} options={keysOf(kinds, judge)} onChoose={onKind} />
);

/** One of a few that change seldom: a tap goes on to the next, since a list to unfold is too fine for wet hands. */
const Cycle = <T extends string>(props: {
  readonly label: string;
  readonly value: T;
  readonly values: readonly T[];
  readonly words: Readonly<Record<T, string>>;
  readonly onValue: (value: T) => void;
}) => {
  const next = props.values[(props.values.indexOf(props.value) + 1) % props.values.length] ?? props.value;
  return (
    <Button
      size="wet"
      className="!flex-col !gap-0 !text-lg !leading-tight"
      onClick={() => props.onValue(next)}
    >
      <span className="text-[13px] font-normal text-chalk">{props.label}</span>
      {props.words[props.value]}
    </Button>
  );
};

interface ControlsProps {
  readonly act: Act;
  readonly faces: readonly number[];
  /** True for a sheet: its sides are its front and its back. */
  readonly hasBack: boolean;
  readonly alongOnTable: FormPlan['alongOnTable'];
  /** False for a solid: it is rolled every way. */
  readonly hasDirections: boolean;
  readonly settings: Settings;
  /** The cushion that is usual by now. */
  readonly usual: Cushion;
  readonly onChoose: (chosen: ActOverride) => void;
  readonly onSettings: (change: Partial<Settings>) => void;
}
type Taken = NonNullable<ReturnType<typeof controlOf>>['takes'][number];

/** Which way the bundle goes. */
const DirectionChoice = ({ act, alongOnTable, onChoose }: ControlsProps) => (
  <Choice
    label="Direction"
    size="wet"
    isAdvised
    value={String(controlOf(act.kind)?.choicesOf(act).directionDeg ?? 0)}
    options={ROLL_DIRECTIONS.map(d => ({
      value: String(d),
      text: (
        <span className="text-3xl">
          <Sign of="bothWays" turnDeg={turnOfLine(tableAngle(alongOnTable, d))} />
        </span>
      ),
      name: DIRECTION[d],
    }))}
    onChoose={v => onChoose({ directionDeg: ROLL_DIRECTIONS.find(d => String(d) === v) ?? 0 })}
  />
);

/** Which face lies up. */
const SideChoice = ({ act, faces, hasBack, onChoose }: ControlsProps) => (
  <Choice
    label="Face"
    size="wet"
    isAdvised
    value={String(controlOf(act.kind)?.choicesOf(act).face ?? 1)}
    options={faces.map(f => ({
      value: String(f),
      text: hasBack ? (f === 1 ? 'front' : 'back') : `side ${f}`,
    }))}
    onChoose={v => onChoose({ face: Number(v) })}
  />
);

/** How warm the water is. */
const WaterChoice = ({ act, onChoose }: ControlsProps) => (
  <Choice
    label="Water"
    size="wet"
    isAdvised
    value={controlOf(act.kind)?.choicesOf(act).water ?? 'hot'}
    options={[
      { value: 'warm', text: 'warm water' },
      { value: 'hot', text: 'hot water' },
    ]}
    onChoose={water => onChoose({ kind: act.kind, water })}
  />
);

/** How often or how long it is done, or that nobody counted. The rolls of a set are remembered. */
const CountChoice = ({ act, onChoose, onSettings }: ControlsProps) => {
  const control = controlOf(act.kind);
  const { count, feel } = control?.choicesOf(act) ?? {};
  const unit = control?.unit ?? null;
  return (
    <Choice
      label={act.kind === 'roll' ? 'Rolls in a set' : unit === 'min' ? 'Minutes' : 'Count'}
      size="wet"
      isAdvised
      value={feel ? FEEL : String(count ?? '')}
      options={[
        ...(control?.counts?.choices ?? []).map(n => ({
          value: String(n),
          text: unit === null ? n : `${n} ${unit}`,
        })),
        ...(unit === null ? [] : [{ value: FEEL, text: 'by feel' }]),
      ]}
      onChoose={v => {
        if (v === FEEL) return onChoose({ kind: act.kind, feel: true });
        onChoose({ kind: act.kind, count: Number(v), feel: false });
        if (act.kind === 'roll') onSettings({ setOfRolls: Number(v) });
      }}
    />
  );
};
const FEEL = 'feel';

const CushionChoice = ({ act, usual, onChoose, onSettings }: ControlsProps) => {
  const cushion = controlOf(act.kind)?.choicesOf(act).cushion ?? usual;
  return (
    <Cycle
      label={usual === cushion ? 'Cushion' : `Cushion; usual now: ${CUSHION_WORDS[usual]}`}
      value={cushion}
      values={CUSHIONS}
      words={CUSHION_WORDS}
      onValue={next => {
        onChoose({ cushion: next });
        onSettings({ cushion: next });
      }}
    />
  );
};

const PressureChoice = ({ settings, onSettings }: ControlsProps) => (
  <Cycle
    label="Pressure"
    value={settings.pressure}
    values={PRESSURES}
    words={PRESSURE_WORDS}
    onValue={pressure => onSettings({ pressure })}
  />
);

const CONTROL_OF: Readonly<Record<Taken, (props: ControlsProps) => ReactNode>> = {
  direction: DirectionChoice,
  side: SideChoice,
  water: WaterChoice,
  count: CountChoice,
  cushion: CushionChoice,
  pressure: PressureChoice,
};
/** What is hardly ever changed stands behind one line. */
const SELDOM: ReadonlySet<Taken> = new Set(['cushion', 'pressure']);
/** Which way and which side stand in one line, how often in the other. */
const SECOND: ReadonlySet<Taken> = new Set(['count']);

/** The line that opens what is hardly ever changed: it says how it stands. */
const SeldomLine = (props: {
  readonly cushion: Cushion;
  readonly settings: Settings;
  readonly isOpen: boolean;
  readonly onOpen: (isOpen: boolean) => void;
}) => (
  <Button
    size="wet"
    aria-expanded={props.isOpen}
    aria-label="Cushion and pressure"
    className="w-28 shrink-0 !flex-col !gap-0 !px-1 !text-[13px] !leading-tight sm:w-36"
    onClick={() => props.onOpen(!props.isOpen)}
  >
    <span>{CUSHION_WORDS[props.cushion]}</span>
    <span className="text-chalk">
      {PRESSURE_WORDS[props.settings.pressure]} <Sign of="opens" />
    </span>
  </Button>
);

/** How an act is done: what its entry in the register says can be chosen of it. Two lines, whatever the act. */
export const ActControls = (props: ControlsProps) => {
  const [isOpen, setOpen] = useState(false);
  const taken = (controlOf(props.act.kind)?.takes ?? []).filter(
    t => (t !== 'direction' || props.hasDirections) && (t !== 'side' || props.faces.length > 1),
  );
  const seldom = taken.filter(t => SELDOM.has(t));
  const opened = isOpen && seldom.length > 0;
  const first = opened ? seldom : taken.filter(t => !SELDOM.has(t) && !SECOND.has(t));
  const second = taken.filter(t => SECOND.has(t));
  const part = (t: Taken) => {
    const Control = CONTROL_OF[t];
    return (
      <div key={t} className={t === 'direction' ? 'flex-[2]' : 'flex-1'}>
        <Control {...props} />
      </div>
    );
  };
  return (
    <>
      {first.length > 0 && (
        <div className={`flex gap-2 ${opened ? '*:*:w-full' : ''}`}>{first.map(part)}</div>
      )}
      {(second.length > 0 || seldom.length > 0) && (
        <div className="flex gap-2">
          {second.map(part)}
          {seldom.length > 0 && (
            <SeldomLine
              cushion={controlOf(props.act.kind)?.choicesOf(props.act).cushion ?? props.usual}
              settings={props.settings}
              isOpen={opened}
              onOpen={setOpen}
            />
          )}
        </div>
      )}
    </>
  );
};
