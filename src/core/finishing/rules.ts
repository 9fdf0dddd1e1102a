import type { FinishStep } from '../acts/finishSteps';

/** One step that must come before another, why, and what to do where it did not. */
export interface FinishRule {
  readonly first: FinishStep;
  readonly next: FinishStep;
  readonly why: string;
  readonly instead: string;
}

const dryFirst = (next: FinishStep, why: string, instead: string): FinishRule => ({
  first: 'dry',
  next,
  why,
  instead,
});

/** What must come before what. Common practice, no published source. */
export const RULES: readonly FinishRule[] = [
  {
    first: 'rinse',
    next: 'soak',
    why: 'Vinegar takes the last soap out; with much soap left it does little.',
    instead: 'Rinse it clear, and soak it again.',
  },
  {
    first: 'soak',
    next: 'rinseOut',
    why: 'There is nothing to rinse out before the soak.',
    instead: 'Soak it, then rinse once more.',
  },
  {
    first: 'rinse',
    next: 'towel',
    why: 'Soap that is pressed dry in the wool stays there.',
    instead: 'Wet it again, rinse it clear and press it out once more.',
  },
  {
    first: 'rinseOut',
    next: 'towel',
    why: 'Vinegar that dries in the wool smells for weeks.',
    instead: 'Rinse it and press it out once more.',
  },
  {
    first: 'towel',
    next: 'shape',
    why: 'A dripping piece sags out of its shape.',
    instead: 'Press it out and shape it again.',
  },
  {
    first: 'towel',
    next: 'flat',
    why: 'Steam cannot set what is dripping wet.',
    instead: 'Press it out and press it flat again.',
  },
  {
    first: 'shape',
    next: 'dry',
    why: 'It dries the way you leave it.',
    instead: 'Wet it, pull it into shape and let it dry once more.',
  },
  {
    first: 'flat',
    next: 'dry',
    why: 'It dries the way you leave it.',
    instead: 'Damp it, press it flat and let it dry once more.',
  },
  {
    first: 'rinse',
    next: 'dry',
    why: 'Soap that dries in the wool makes it grey and brittle.',
    instead: 'Wet it, rinse it clear and let it dry once more.',
  },
  {
    first: 'towel',
    next: 'dry',
    why: 'Dripping wet it takes days, and may smell.',
    instead: 'Press it out in a towel; it dries in half the time.',
  },
  dryFirst('trimFuzz', 'Wet fuzz lies down and is missed.', 'Trim it again when it is dry.'),
  dryFirst('cutDry', 'Wet felt frays, and closes again.', 'Look at the cut when it is dry, and trim it.'),
  dryFirst('ironOn', 'The glue of a backing does not hold on damp felt.', 'Let it dry and iron it on again.'),
  dryFirst('record', 'Wet felt is longer, and weighs more.', 'Measure and weigh it again when it is dry.'),
  dryFirst('stiffen', 'Water thins the stiffener.', 'Let it dry, and stiffen it once more.'),
  dryFirst('glue', 'Glue does not hold on damp felt.', 'Let it dry, and press the joint again.'),
  dryFirst('sew', 'Seams pucker when the felt dries.', 'Look at the seam when it is dry.'),
  dryFirst('string', 'A damp hole grips and tears.', 'Let it dry on its string, and draw it through again.'),
  {
    first: 'steam',
    next: 'stiffen',
    why: 'Steam softens the stiffener again.',
    instead: 'Brush a second, thin coat on, and let it set.',
  },
  {
    first: 'ironOn',
    next: 'stiffen',
    why: 'The iron would stick to the stiffener.',
    instead: 'Iron through a cloth, on low heat.',
  },
  {
    first: 'trimFuzz',
    next: 'stiffen',
    why: 'Fuzz that is stiff cannot be trimmed.',
    instead: 'Rub it off with a fine file.',
  },
  {
    first: 'record',
    next: 'stiffen',
    why: 'Stiffener adds to the weight; your wool would learn a wrong figure.',
    instead: 'Leave the weight out of the record.',
  },
  {
    first: 'stiffen',
    next: 'glue',
    why: 'Stiffener creeps under the glue and lifts it.',
    instead: 'Press the joint again when the stiffener has set.',
  },
  {
    first: 'record',
    next: 'glue',
    why: 'What is glued on is weighed with it.',
    instead: 'Leave the weight out of the record.',
  },
  {
    first: 'record',
    next: 'sew',
    why: 'What is sewn on is weighed with it.',
    instead: 'Leave the weight out of the record.',
  },
  ...(['trimFuzz', 'cutDry', 'steam', 'ironOn', 'record', 'stiffen', 'glue', 'sew'] as const).map(
    (first): FinishRule => ({
      first,
      next: 'string',
      why: 'String or wire comes last: everything else is easier without it.',
      instead: 'Take it off its string for this, or work round it.',
    }),
  ),
];

/** Two steps that cannot both be. */
export const EXCLUDES: ReadonlyArray<{
  readonly one: FinishStep;
  readonly other: FinishStep;
  readonly why: string;
}> = [
  {
    one: 'shape',
    other: 'flat',
    why: 'What is shaped on a form is not pressed flat afterwards: choose one of them.',
  },
];
