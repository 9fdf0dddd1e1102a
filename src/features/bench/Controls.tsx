import { type Act, type Cushion, CUSHIONS, PRESSURES, ROLL_DIRECTIONS } from '../../core/log/entry';
import type { FormPlan } from '../../core/forms/formKind';
import { tableAngle } from '../../drawing/orient';
import type { Settings } from '../../records/settings';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { type BenchKind, type Chosen, COUNTS } from './chosenAct';
import { arrowAt, DIRECTION } from './benchWords';
import { CUSHION_WORDS, PRESSURE_WORDS } from './rollWords';

const SETS = [10, 20, 30, 50, 100] as const;

const KINDS: ReadonlyArray<{ readonly value: BenchKind; readonly text: string }> = [
  { value: 'wet', text: 'Wet' },
  { value: 'rub', text: 'Rub' },
  { value: 'roll', text: 'Roll' },
  { value: 'throw', text: 'Throw' },
  { value: 'shock', text: 'Hot/cold' },
  { value: 'measure', text: 'Measure' },
  { value: 'pinch', text: 'Pinch' },
];

/** Which act the great button logs. */
export const KindChoice = ({
  kind,
  onKind,
}: {
  readonly kind: BenchKind;
  readonly onKind: (kind: BenchKind) => void;
}) => <Choice label="Act" size="wet" value={kind} options={KINDS} onChoose={onKind} />;

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

/** How a set of rolls is done: direction, face, count, cushion, pressure. */
export const RollControls = (props: {
  readonly act: Act & { kind: 'roll' };
  readonly faces: readonly number[];
  readonly alongOnTable: FormPlan['alongOnTable'];
  /** False for a solid: it is rolled every way. */
  readonly hasDirections: boolean;
  readonly settings: Settings;
  /** The cushion that is usual by now. */
  readonly usual: Cushion;
  readonly onChoose: (chosen: Chosen) => void;
  readonly onSettings: (change: Partial<Settings>) => void;
}) => {
  const { act, settings } = props;
  return (
    <div className="grid grid-cols-1 gap-2 sm:grid-cols-2">
      {props.hasDirections && (
        <div className={props.faces.length > 1 ? '' : 'sm:col-span-2'}>
          <Choice
            label="Direction"
            size="wet"
            value={String(act.directionDeg)}
            options={ROLL_DIRECTIONS.map(d => ({
              value: String(d),
              text: <span className="text-3xl">{arrowAt(tableAngle(props.alongOnTable, d))}</span>,
              name: DIRECTION[d],
            }))}
            onChoose={v => props.onChoose({ directionDeg: ROLL_DIRECTIONS.find(d => String(d) === v) ?? 0 })}
          />
        </div>
      )}
      {props.faces.length > 1 && <FaceChoice face={act.face} faces={props.faces} onChoose={props.onChoose} />}
      <Choice
        label="Rolls in a set"
        size="wet"
        value={String(act.rolls)}
        options={SETS.map(n => ({ value: String(n), text: n }))}
        onChoose={v => {
          props.onChoose({ rolls: Number(v) });
          props.onSettings({ setOfRolls: Number(v) });
        }}
      />
      <div className="grid grid-cols-2 gap-2">
        <Cycle
          label={
            props.usual === act.cushion ? 'Cushion' : `Cushion; usual now: ${CUSHION_WORDS[props.usual]}`
          }
          value={act.cushion}
          values={CUSHIONS}
          words={CUSHION_WORDS}
          onValue={cushion => {
            props.onChoose({ cushion });
            props.onSettings({ cushion });
          }}
        />
        <Cycle
          label="Pressure"
          value={settings.pressure}
          values={PRESSURES}
          words={PRESSURE_WORDS}
          onValue={pressure => props.onSettings({ pressure })}
        />
      </div>
    </div>
  );
};

/** How often, for rubbing, throwing and hot-and-cold. */
export const CountChoice = (props: {
  readonly kind: keyof typeof COUNTS;
  readonly count: number;
  readonly onChoose: (chosen: Chosen) => void;
}) => (
  <Choice
    label="Count"
    size="wet"
    value={String(props.count)}
    options={COUNTS[props.kind].choices.map(n => ({ value: String(n), text: n }))}
    onChoose={v => props.onChoose({ kind: props.kind, count: Number(v) })}
  />
);

/** How warm the water is. */
export const WaterChoice = (props: {
  readonly water: 'warm' | 'hot';
  readonly onChoose: (chosen: Chosen) => void;
}) => (
  <Choice
    label="Water"
    size="wet"
    value={props.water}
    options={[
      { value: 'warm', text: 'warm water' },
      { value: 'hot', text: 'hot water' },
    ]}
    onChoose={water => props.onChoose({ kind: 'wet', water })}
  />
);

/** Which face lies up. */
export const FaceChoice = (props: {
  readonly face: number;
  readonly faces: readonly number[];
  readonly onChoose: (chosen: Chosen) => void;
}) => (
  <Choice
    label="Face"
    size="wet"
    value={String(props.face)}
    options={props.faces.map(f => ({ value: String(f), text: `face ${f}` }))}
    onChoose={v => props.onChoose({ face: Number(v) })}
  />
);
