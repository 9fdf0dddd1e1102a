import type { ReactNode } from 'react';
import type { TestName } from '../../core/acts/vocabulary';

const stroke = 'fill-none stroke-current';

/** Hairs that stand up from a surface, fewer the firmer it is. */
const Hairs = ({ count, y }: { readonly count: number; readonly y: number }) => (
  <>
    {Array.from({ length: count }, (_, i) => {
      const x = 12 + (i * 76) / Math.max(1, count - 1);
      return (
        <path key={i} d={`M${x} ${y}q${i % 2 === 0 ? -6 : 6} -8 0 -14`} className={stroke} strokeWidth={2} />
      );
    })}
  </>
);

const FINGER = 'M40 18q10 -14 20 0v10q-10 10 -20 0z';

/** What is seen at each grade of a test, the least felted first. */
const DRAWN: Readonly<Record<TestName, (grade: number) => ReactNode>> = {
  finger: grade => (
    <>
      <path d={FINGER} className={stroke} strokeWidth={3} />
      <path d="M4 44H96" className={stroke} strokeWidth={4} />
      {grade === 0 && <Hairs count={7} y={43} />}
    </>
  ),
  pull: grade => (
    <>
      <path
        d={
          grade === 0
            ? 'M6 20h30l-4 8 5 8h-31zM94 20h-30l4 8 -5 8h31z'
            : grade === 1
              ? 'M6 20h22q22 10 44 0h22v16h-22q-22 -10 -44 0h-22z'
              : 'M6 20h88v16h-88z'
        }
        className={stroke}
        strokeWidth={3}
      />
      <path d="M16 46H4m4 -4l-4 4 4 4M84 46h12m-4 -4l4 4 -4 4" className={stroke} strokeWidth={2} />
    </>
  ),
  light: grade => (
    <>
      <rect x={14} y={8} width={72} height={40} className="fill-current" opacity={grade === 2 ? 0.6 : 0.75} />
      {grade < 2 &&
        [
          [32, 22],
          [62, 34],
          [70, 16],
        ].map(([cx, cy]) => (
          <circle key={cx} cx={cx} cy={cy} r={6} className="fill-soap" opacity={grade === 0 ? 1 : 0.55} />
        ))}
    </>
  ),
  squeeze: grade => {
    const ry = 9 + 2.6 * grade;
    return (
      <>
        <ellipse cx={50} cy={28} rx={30 - 1.6 * grade} ry={ry} className={stroke} strokeWidth={3} />
        <path d={`M50 ${28 - ry - 9}v6M50 ${28 + ry + 9}v-6`} className={stroke} strokeWidth={4} />
      </>
    );
  },
  cloth: grade => (
    <>
      <path
        d={grade === 2 ? 'M4 34q8 -12 15 0t15 0 15 0 15 0 15 0 15 0' : 'M4 34H96'}
        className={stroke}
        strokeWidth={3}
      />
      {grade > 0 && <Hairs count={grade === 1 ? 5 : 8} y={33} />}
    </>
  ),
  bend: grade => (
    <>
      <path d="M6 50V30" className={stroke} strokeWidth={4} />
      <path
        d={['M6 30q44 -8 50 22', 'M6 30q60 -10 76 18', 'M6 30q60 -8 86 2', 'M6 30h88'][grade] ?? ''}
        className={stroke}
        strokeWidth={5}
      />
    </>
  ),
  resist: grade => (
    <>
      <path
        d={['M14 6h72v42h-72z', 'M24 14h52v26h-52z', 'M24 14h52v26h-52z'][grade] ?? ''}
        className={stroke}
        strokeWidth={4}
      />
      <path
        d={['M30 18h40v18h-40z', 'M27 17h46v20h-46z', 'M28 27q8 -14 15 0t15 0 14 0'][grade] ?? ''}
        className={stroke}
        strokeWidth={2}
        strokeDasharray={grade === 2 ? undefined : '4 3'}
      />
    </>
  ),
};

/** A small picture of what a grade of a test looks like. */
export const TestPicture = ({ test, grade }: { readonly test: TestName; readonly grade: number }) => (
  <svg viewBox="0 0 100 56" className="h-12 w-20 shrink-0" aria-hidden="true">
    {DRAWN[test](grade)}
  </svg>
);
