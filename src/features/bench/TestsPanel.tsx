import { useState } from 'react';
import type { Act } from '../../core/acts/act';
import { type TestName, TESTS } from '../../core/acts/vocabulary';
import { suits } from '../../core/acts/feltTests';
import type { FormPlan } from '../../core/forms/formKind';
import { homeUnit, showFigure, showQuantity, type UnitSystem } from '../../core/units/units';
import { densityOf } from '../../core/wool/feltNow';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { firmnessText } from '../../words/firmness';
import { FELT_TEST_WORDS } from '../../words/feltTests';
import { PanelFrame } from './PanelFrame';
import { TestPicture } from './TestPicture';

/** Thickness by callipers or between two rulers; with the grams and the area it says how firm the felt is. */
const Thickness = (props: {
  readonly units: UnitSystem;
  /** g/m² of the felt as it is now; null where that is not known. */
  readonly arealNow: number | null;
  /** How firm the maker's own finished pieces of this wool came out, g/cm³, least and most; null where none did. */
  readonly own: readonly [number, number] | null;
  readonly onLog: (act: Act) => void;
}) => {
  const { units, arealNow, own } = props;
  const [mm, setMm] = useState<number | null>(null);
  return (
    <div className="flex flex-wrap items-end gap-4 border-t border-rim pt-3">
      <NumberField
        className="w-40"
        label="Thickness, pressed lightly"
        shown={mm === null ? '' : showFigure(mm, 'thickness', { units })}
        unit={homeUnit('thickness', units)}
        read={reader('thickness', units, { min: 0.2, max: 200 })}
        onValue={setMm}
        onEmpty={() => setMm(null)}
      />
      {mm !== null && arealNow !== null && (
        <p className="text-lg">
          Firmness: {firmnessText(densityOf(arealNow, mm), units)}, from the wool you laid.
          {own &&
            ` Your finished pieces in this wool: ${showQuantity(own[0], 'density', units)} to ${showQuantity(own[1], 'density', units)}.`}
        </p>
      )}
      <Button
        size="wet"
        disabled={mm === null}
        onClick={() => mm !== null && props.onLog({ kind: 'thickness', thicknessMm: mm, grams: null })}
      >
        Save it
      </Button>
    </div>
  );
};

/** Tests beside the pinch: one tap on what is seen. */
export const TestsPanel = (props: {
  readonly form: FormPlan;
  readonly units: UnitSystem;
  readonly arealNow: number | null;
  readonly ownFirmness: readonly [number, number] | null;
  readonly grades: Readonly<Partial<Record<TestName, number>>>;
  readonly onLog: (act: Act) => void;
  readonly onPinch: () => void;
  readonly onLight: () => void;
  readonly onCancel: () => void;
}) => (
  <PanelFrame title="Which test, and what do you see?" label="Tests" onCancel={props.onCancel}>
    <Button size="wet" onClick={props.onPinch}>
      Pinch test
    </Button>
    {TESTS.filter(name => suits(name, props.form)).map(name => (
      <div key={name}>
        <p className="text-lg">
          <span className="font-semibold">{FELT_TEST_WORDS[name].name}.</span> {FELT_TEST_WORDS[name].how}
        </p>
        <div className="flex flex-wrap gap-2 *:flex-1">
          {FELT_TEST_WORDS[name].grades.map((grade, i) => (
            <Button
              key={grade}
              size="wet"
              aria-label={`${FELT_TEST_WORDS[name].name}: ${grade}`}
              aria-pressed={props.grades[name] === i}
              look={props.grades[name] === i ? 'main' : 'plain'}
              onClick={() => props.onLog({ kind: 'test', test: name, grade: i })}
            >
              <TestPicture test={name} grade={i} />
              {grade}
            </Button>
          ))}
        </div>
        {name === 'light' && (
          <Button size="wet" className="mt-2 w-full" onClick={props.onLight}>
            By a picture …
          </Button>
        )}
      </div>
    ))}
    <Thickness units={props.units} arealNow={props.arealNow} own={props.ownFirmness} onLog={props.onLog} />
    <p className="text-[13px] text-chalk">These tests and grades are common practice.</p>
  </PanelFrame>
);
