import { FINISH } from '../core/acts/finishSteps';
import { usualFinish } from '../core/finishing/usualFinish';
import { finishOrder } from '../core/finishing/finishOrder';
import { layMethodOf } from '../core/plan/layMethodOf';
import type { Plan } from '../core/plan/makePlan';
import { recipeStepWords } from '../core/recipe/recipeSteps';
import { scaleMass } from '../core/units/scaleMass';
import { showQuantity, showShare, type UnitSystem } from '../core/units/units';
import { laySteps } from '../core/wool/layOrder';
import { pileList, type ScalePile } from '../core/wool/pileList';
import { wayOf } from '../core/ways/register';
import { pieceScene } from '../drawing/scene';
import type { CardPage } from '../files/recipeCardPdf';
import { recipeText } from '../files/recipeText';
import { type Piece, pieceWools } from '../records/piece';
import type { RecipeCard } from '../records/recipeCard';
import type { Wool } from '../records/wool';
import { layWords } from '../words/laying';
import { WAY_STEPS } from '../words/waySteps';
import { WAY_WORDS } from '../words/ways';

/** Cautions that belong on every card. Common practice; not medical advice. */
const CAUTIONS = [
  'Hot water scalds: test it with your wrist. Rinse soap off sore skin; stop when wrists or shoulders hurt.',
  'Wet floors are slippery. Keep plugs, irons and steam away from the wet bench.',
  'Scissors, needles, glue and heat are for adults. Small parts are not for children under three.',
];

/** Piles of one piece, those alike counted together. */
const woolLines = (piles: readonly ScalePile[]) => {
  const found = new Map<string, { face: string; woolId: string | null; grams: number; count: number }>();
  for (const { piece, face, woolId, grams } of piles) {
    if (piece !== 1) continue;
    const key = JSON.stringify([face, woolId, grams]);
    const was = found.get(key);
    found.set(key, { face, woolId, grams, count: (was?.count ?? 0) + 1 });
  }
  return [...found.values()];
};

/** What stands on the card of a piece. */
export const cardPage = (
  piece: Piece,
  plan: Plan,
  of: { readonly card: RecipeCard; readonly wools: readonly Wool[]; readonly units: UnitSystem },
): CardPage => {
  const { card, wools, units } = of;
  const way = wayOf(plan.kind, plan.form, piece.way);
  const how = layMethodOf(plan.form, way);
  const layers = plan.weigh?.faces[0]?.layers.length ?? 1;
  const name = (id: string | null): string => wools.find(w => w.id === id)?.name ?? 'wool';
  const piles = plan.weigh ? pileList(plan.weigh, pieceWools(piece)) : [];
  const stepG = plan.weigh?.stepG ?? piece.plan.scaleStepG;
  const { habits } = piece;
  const finish = finishOrder(
    piece.finishing ?? usualFinish(plan.form, { purpose: plan.kind.group, recipe: piece.recipe }),
  );
  const steps = piece.recipe
    ? piece.recipe.steps.map(s => recipeStepWords(s, plan.form.faces.length))
    : [
        ...WAY_STEPS[way.id],
        ...(finish.ok ? [`Finish: ${finish.steps.map(s => FINISH[s].name).join(', ')}`] : []),
      ];
  return {
    title: piece.name,
    facts: [
      `${plan.kind.title}${piece.plan.pieces > 1 ? `, ${piece.plan.pieces} alike` : ''} · ${WAY_WORDS[way.id].name} · shrinks ${showShare(plan.shrinkage.along)} lengthwise, ${showShare(plan.shrinkage.across)} crosswise`,
      plan.form.gauges
        .slice(0, 4)
        .map(
          g =>
            `${g.id} ${g.name}: lay ${showQuantity(g.laidMm, 'length', units)}, finished ${showQuantity(g.wantedMm, 'length', units)}`,
        )
        .join(' · '),
    ],
    scene: pieceScene(plan.form, { foldOverMm: piece.plan.foldOverMm }),
    sections: [
      {
        heading: 'Wool',
        lines: woolLines(piles).map(
          l =>
            `${l.count > 1 ? `${l.count} × ` : ''}${scaleMass(l.grams, stepG, units)} ${name(l.woolId)}, ${l.face}`,
        ),
      },
      {
        heading: 'Lay',
        // One after the other in a line: a card has room for one page.
        lines: [
          laySteps({ ...how, layers, ...piece.laying, habits })
            .map((s, i) => `${i + 1}. ${layWords(s, { ...how, layers, habits })}`)
            .join('   '),
        ],
      },
      {
        heading: piece.recipe ? `Work: ${piece.recipe.name}` : 'Work',
        lines: steps.map((s, i) => `${i + 1}. ${s}`),
      },
      ...(card.results.length > 0
        ? [
            {
              heading: 'How it came out',
              lines: card.results.map(r =>
                [
                  r.finishedAt.slice(0, 10),
                  r.along === null ? '' : `shrank ${showShare(r.along)} lengthwise`,
                  r.across === null ? '' : `${showShare(r.across)} crosswise`,
                  r.grams === null ? '' : `${showQuantity(r.grams, 'mass', units)} dry`,
                ]
                  .filter(Boolean)
                  .join(', '),
              ),
            },
          ]
        : []),
      ...(piece.notes.trim() === '' ? [] : [{ heading: 'Notes', lines: piece.notes.trim().split('\n') }]),
      { heading: 'Mind', lines: CAUTIONS },
    ],
    code: recipeText(card),
  };
};
