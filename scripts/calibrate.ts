// npm run calibrate: how often the forecast's ranges hold, in the model's own world and in others; and how made-up pieces end
// by the advice and by two usual ways. Some minutes; `npm run calibrate 50` is a rough look.
import type { Judge } from '../src/core/acts/vocabulary';
import { coverageOf } from '../src/core/felting/testing/coverage';
import { endsOf, FELTERS } from '../src/core/felting/testing/felters';
import { lightFigures } from '../src/core/light/testing/scenes';
import { MOTION_PLACES } from '../src/core/motion/motion';
import { falseCounts, motionFigures } from '../src/core/motion/testing/motions';
import { photoFigures, type SceneClass, tryPhoto } from '../src/core/photo/testing/photos';
import { WRONGS, wrongFigures } from '../src/core/photo/testing/wrongPictures';
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

// Pieces measured by a picture, on made-up pictures of seeds of their own; beside each figure what is asked for of the good ones.
const photosOf = (kind: SceneClass, count: number) =>
  photoFigures(Array.from({ length: count }, (_, i) => tryPhoto(kind, 6001 + i, 1050)));
const column = (text: string): string => text.padStart(9);
console.log(`\nmeasured by a picture${['good', 'hard', 'bad'].map(column).join('').padStart(30)}`);
const photos = [
  photosOf('good', Math.ceil(0.3 * pieces)),
  photosOf('hard', Math.ceil(0.1 * pieces)),
  photosOf('bad', Math.ceil(0.1 * pieces)),
];
const rowOf = (name: string, of: (f: (typeof photos)[number]) => string, asked: string): void =>
  console.log(`${name.padEnd(24)}${photos.map(f => column(of(f))).join('')}   ${asked}`);
rowOf('pictures', f => String(f.scenes), '');
rowOf('measured', f => percent(f.measured / f.scenes), '88 % at least');
rowOf('lines', f => String(f.lines), '');
rowOf('off, the middle one', f => percent(f.median), '0.6 % at the most');
rowOf('off, 95 of 100', f => percent(f.p95), '2.2 % at the most');
rowOf('within what it says', f => percent(f.covered), '92 to 99 %');
rowOf('over 2 %, said less', f => percent(f.proud / f.lines), '2 % at the most');

// What is wrong with a picture is to be named, and nothing measured wrongly.
const everyWrong = Math.ceil(0.026 * pieces);
console.log(
  `\none thing wrong, ${WRONGS.length * everyWrong} made-up pictures${['named', 'else', 'right', 'wrong'].map(column).join('')}`,
);
for (const wrong of WRONGS) {
  const f = wrongFigures(wrong, { seed: 70_001, scenes: everyWrong, longPx: 1050 });
  const said = [...f.said].map(([code, times]) => `${code} ${times}`).join(', ');
  console.log(
    `${f.name.padEnd(42)}${[f.named, f.otherwise, f.right, f.wrong].map(n => column(String(n))).join('')}   ${said}`,
  );
}
console.log('asked: named or right, none wrong');

// Rolls counted by motion, on made-up signals of seeds of their own; beside each figure what is asked for.
console.log(
  `\ncounted by motion${['within', 'exact', 'sure', 'but wrong', 'first, s', 'stop, s', 'walking', 'opening', 'set down'].map(t => t.padStart(10)).join('')}`,
);
for (const place of MOTION_PLACES) {
  const f = motionFigures(place, { seed: 300_001, sets: Math.ceil(0.6 * pieces) });
  const wrong = [
    percent(f.within / f.sets),
    percent(f.exact / f.sets),
    percent(f.sure / f.sets),
    percent(f.sureWrong / Math.max(1, f.sure)),
    f.first90S.toFixed(1),
    f.stop90S.toFixed(1),
    ...(['walk', 'open', 'setDown'] as const).map(doing =>
      falseCounts(place, doing, { seed: 400_001 }).toFixed(2),
    ),
  ];
  console.log(`${place.padEnd(17)}${wrong.map(t => t.padStart(10)).join('')}`);
}
console.log(
  'asked: within 92 % (bundle 95 %), wrong though sure 5 %, first 5 s, stop 4.5 s, a minute walking 1.5 on the wrist, 0.3 elsewhere, set down 0',
);
