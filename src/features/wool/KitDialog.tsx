import { useState } from 'react';
import { kitOf } from '../../core/batch/kitOf';
import { issueText } from '../../words/issues';
import type { FormPlan } from '../../core/forms/formKind';
import { layMethodOf } from '../../core/plan/layMethodOf';
import { laySteps } from '../../core/wool/layOrder';
import type { WeighPlan } from '../../core/wool/weigh';
import { download, fileName } from '../../files/download';
import type { ListSection } from '../../files/listPdf';
import { pieceWools } from '../../records/piece';
import { useNotify } from '../../session/notices';
import type { PieceContext } from '../../session/pieceContext';
import { useWools } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Dialog } from '../../ui/Dialog';
import { layWords } from '../../words/laying';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { KIT_WORDS, WITH_CHILDREN } from '../../words/kit';
import { WAY_STEPS } from '../../words/waySteps';
import type { Way } from '../../core/ways/way';
import { scaleMass } from '../../core/units/scaleMass';

const FEWEST = { people: 1, spares: 0 } as const;
const MOST_PEOPLE = 500;

/** Kits for a class: a kit for each person, with spares, what to pack, the steps, and what only an adult does. */
export const KitDialog = (props: {
  readonly context: PieceContext;
  readonly weigh: WeighPlan;
  readonly form: FormPlan;
  readonly way: Way;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}) => {
  const { context, weigh, form, way } = props;
  const how = layMethodOf(form, way);
  const { units } = context.settings;
  const { laying, habits } = context.piece;
  const { stepG } = weigh;
  const [people, setPeople] = useState(8);
  const [spares, setSpares] = useState<number | null>(null);
  const [children, setChildren] = useState(false);
  const wools = useWools();
  const { tell, failed } = useNotify();
  const { workers } = useWorkshop();
  const kit = kitOf(weigh, {
    people,
    ...(spares === null ? {} : { spares }),
    things: way.kit,
    ...pieceWools(context.piece),
  });
  const mass = (g: number): string => scaleMass(g, stepG, units);
  const name = (id: string | null): string => wools.find(w => w.id === id)?.name ?? 'wool not chosen yet';
  const layers = weigh.faces[0]?.layers.length ?? 1;
  const sections: readonly ListSection[] = [
    {
      heading: `${kit.kits} kits, ${kit.spares} of them spare`,
      lines: kit.wools.map(w => `${mass(w.each)} ${name(w.woolId)} in each, ${mass(w.all)} altogether`),
    },
    { heading: 'To pack', lines: kit.packed.map(p => `${p.count} × ${KIT_WORDS[p.thing]}`) },
    {
      heading: 'Steps',
      lines: [
        ...laySteps({ ...how, layers, ...laying, habits }).map(s => layWords(s, { ...how, layers, habits })),
        ...WAY_STEPS[way.id],
      ],
    },
    ...(children ? [{ heading: 'With children', lines: WITH_CHILDREN }] : []),
  ];
  const save = (): void => {
    const title = `Kits: ${context.piece.name}`;
    workers.long
      .run('listPdf', { title, sections })
      .then(made =>
        made.ok
          ? download(fileName(title, 'pdf'), 'application/pdf', made.value)
          : tell({ text: made.issues.map(issueText).join(' ') }),
      )
      .catch(failed);
  };
  return (
    <Dialog open={props.open} onOpenChange={props.onOpenChange} title="Kits for a class">
      <div className="flex flex-col gap-4">
        <div className="flex flex-wrap items-end gap-5">
          <NumberField
            className="w-20"
            label="People"
            shown={String(people)}
            read={reader('count', units, { min: FEWEST.people, max: MOST_PEOPLE })}
            onValue={v => setPeople(Math.round(v))}
          />
          <NumberField
            className="w-20"
            label="Spare kits"
            guess={spares === null}
            shown={String(kit.spares)}
            read={reader('count', units, { min: FEWEST.spares, max: MOST_PEOPLE })}
            onValue={v => setSpares(Math.round(v))}
            onEmpty={() => setSpares(null)}
          />
          <Choice
            label="Who is coming"
            value={children ? 'children' : 'adults'}
            options={[
              { value: 'adults', text: 'adults' },
              { value: 'children', text: 'children' },
            ]}
            onChoose={v => setChildren(v === 'children')}
          />
        </div>
        {sections.map(section => (
          <section key={section.heading}>
            <h3 className="font-semibold">{section.heading}</h3>
            <ul className="list-disc pl-6">
              {section.lines.map((line, i) => (
                <li key={i}>{line}</li>
              ))}
            </ul>
          </section>
        ))}
        <p className="text-[13px] text-chalk">
          Spares, bowls and soap are common practice. Follow the rules of the venue and the labels on the soap
          and wool.
        </p>
        <Button look="main" onClick={save}>
          Save the list as PDF
        </Button>
      </div>
    </Dialog>
  );
};
