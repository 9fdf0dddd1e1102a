// npm run calibrate: how often the forecast's ranges hold, in the model's own world and in others; and how made-up pieces end
// by the advice and by two usual ways. Some minutes; `npm run calibrate 50` is a rough look.
import type { Judge } from '../src/core/acts/vocabulary';
import { coverageOf } from '../src/core/felting/testing/coverage';
import { endsOf, FELTERS } from '../src/core/felting/testing/felters';
import { lightFigures } from '../src/core/light/testing/scenes';
import { rehearsalsOf } from '../src/core/rehearsal/testing/rehearsals';
import { ODD_WORLDS } from '../src/core/felting/simulatedPiece';

const pieces = Number(process.argv[2] ?? 500);
const percent = (share: number): string => `${(100 * share).toFixed(1)} %`;
const row = (name: string, startSd = 0, judge: Judge = 'tape'): void => {
  const odd = ODD_WORLDS[name] ?? {};
  const { in80, in95, forecasts, ms } = coverageOf({ pieces, odd, startSd, judge });
  const known =
    startSd > 0
      ? ', starts unknown'
      : judge === 'tape'
        ? ''
        : `, by ${judge === 'feel' ? 'feel' : 'the drawing'}`;
  console.log(
    `${(name + known).padEnd(42)} ${percent(in80).padStart(8)} ${percent(in95).padStart(8)} ${String(forecasts).padStart(6)}  ${ms.toFixed(0)} ms`,
  );
};
console.log(
  `${''.padEnd(42)} ${'of 80 %'.padStart(8)} ${'of 95 %'.padStart(8)} ${'tried'.padStart(6)}  an update`,
);
for (const name of Object.keys(ODD_WORLDS)) row(name);
row('start misread by 2.5 %', 0.015);
// Without a tape: by a look each way at the drawing, and by feel, where every amount is a guess.
for (const judge of ['drawing', 'feel'] as const)
  for (const name of ['as the model has it', 'steady', 'hard delay', 'drift of another kind'])
    row(name, 0, judge);

console.log(`\n${''.padEnd(42)} ${'at size'.padStart(8)} ${'too small'.padStart(9)}  measured   rolls`);
for (const [name, felter] of Object.entries(FELTERS)) {
  const { within, overshot, measurings, rolls } = endsOf(felter, Math.min(pieces, 300));
  console.log(
    `${name.padEnd(42)} ${percent(within).padStart(8)} ${percent(overshot).padStart(9)} ${measurings.toFixed(1).padStart(9)} ${rolls.toFixed(0).padStart(7)}`,
  );
}

// Whole rehearsals, from the first wetting to the end, by the same model and rules as the bench: every form, in its usual way.
console.log(`\n${'rehearsed by the advice'.padEnd(42)} ${'at size'.padStart(8)} ${'of'.padStart(9)}`);
for (const judge of ['tape', 'drawing'] as const)
  for (const { way, within, of } of rehearsalsOf(judge, Math.ceil(pieces / 250)))
    console.log(
      `${`${way}, by ${judge === 'tape' ? 'the tape (±3 %)' : 'the drawing (±5 %)'}`.padEnd(42)} ${percent(within / of).padStart(8)} ${String(of).padStart(9)}`,
    );

// Pieces held to the light, on made-up pictures of seeds of their own; beside each figure what is asked for.
const lit = lightFigures(9001, Math.ceil(pieces / 2.5));
console.log(`\nheld to the light, ${lit.scenes} made-up pictures, ${lit.read} read`);
console.log(`thin places found${percent(lit.found / lit.asked).padStart(33)}   85 % at least`);
console.log(`told as under half, and so${percent(lit.trulyHalf / lit.half).padStart(24)}   85 % at least`);
console.log(`on ten even pieces${((10 * lit.onEven) / lit.even).toFixed(1).padStart(30)}     1 at the most`);
