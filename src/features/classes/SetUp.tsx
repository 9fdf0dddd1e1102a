import { scaleMass } from '../../core/units/scaleMass';
import { download, fileName } from '../../files/download';
import type { ListSection } from '../../files/listPdf';
import type { FeltClass } from '../../records/feltClass';
import type { Piece } from '../../records/piece';
import type { ClassSheet } from '../../session/classSheet';
import { useNotify } from '../../session/notices';
import { useParts, useSettings, useWools } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { TAUGHT_WORDS } from '../../words/classes';
import { issueText } from '../../words/issues';
import { KIT_WORDS, WITH_CHILDREN } from '../../words/kit';
import { lengthWords, timeAfter } from '../../words/schedule';

/** Before hands are wet. Common practice. */
const BEFORE = [
  'Cover the tables and the floor beside the water; move plugs and phones away from it.',
  'Lay out one kit at each place, weighed and with its resist or ball.',
  'Put a bowl, soap and a towel within reach of everybody; fill the bowls last.',
  'Show a finished one, soft and firm, to be felt with dry hands.',
];

/** What is set up, and the steps with their times; to print and tick off. */
export const SetUp = (props: {
  readonly held: FeltClass;
  readonly sheet: ClassSheet;
  readonly piece: Piece;
}) => {
  const { held, sheet, piece } = props;
  const { kit, stages } = sheet;
  const { units } = useSettings();
  const wools = useWools();
  const parts = useParts();
  const { tell, failed } = useNotify();
  const { workers } = useWorkshop();
  const starts = held.startsAt ?? '00:00';
  const when = (minutes: number): string =>
    held.startsAt === null ? `after ${lengthWords(minutes)}` : timeAfter(starts, minutes);
  const times = stages.map(
    s =>
      `${when(s.fromMin)} ${TAUGHT_WORDS[s.stage]}: ${s.pauseMin > 0 ? `show for ${lengthWords(s.pauseMin)}, then ` : ''}about ${lengthWords(s.workMin)}`,
  );
  const end = `${when(sheet.minutes)} Wrap it in a towel; it dries at home.`;
  const mass = (g: number): string => scaleMass(g, piece.plan.scaleStepG, units);
  const sections: readonly ListSection[] = [
    {
      heading: `${kit.kits} kits, ${kit.spares} of them spare`,
      lines: [
        ...kit.wools.map(
          w =>
            `${mass(w.each)} ${wools.find(x => x.id === w.woolId)?.name ?? 'wool not chosen yet'} in each, ${mass(w.all)} altogether`,
        ),
        ...held.parts.map(
          p => `${p.count} ${parts.find(x => x.id === p.partId)?.name ?? 'part not chosen yet'} in each`,
        ),
      ],
    },
    { heading: 'To pack', lines: kit.packed.map(p => `${p.count} × ${KIT_WORDS[p.thing]}`) },
    { heading: 'Before hands are wet', lines: BEFORE },
    { heading: 'Times', lines: [...times, end] },
    { heading: 'Laying', lines: sheet.laying },
    { heading: 'Felting', lines: sheet.working },
    ...(held.areChildren ? [{ heading: 'With children', lines: WITH_CHILDREN }] : []),
  ];
  const save = (): void => {
    workers.long
      .run('listPdf', { title: held.name, sections })
      .then(made =>
        made.ok
          ? download(fileName(held.name, 'pdf'), 'application/pdf', made.value)
          : tell({ text: made.issues.map(issueText).join(' ') }),
      )
      .catch(failed);
  };
  return (
    <section aria-labelledby="times" className="flex flex-col gap-3">
      <h2 id="times" className="border-b border-ink text-lg font-semibold">
        {lengthWords(sheet.minutes)} altogether
      </h2>
      <ol aria-label="Times">
        {[...times, end].map(line => (
          <li key={line} className="border-b border-rim py-1 tabular-nums">
            {line}
          </li>
        ))}
      </ol>
      <details>
        <summary className="cursor-pointer font-semibold">Set-up and steps</summary>
        {sections.slice(2).map(section => (
          <div key={section.heading} className="mt-2">
            <h3 className="font-semibold">{section.heading}</h3>
            <ul className="list-disc pl-6">
              {section.lines.map((line, i) => (
                <li key={i}>{line}</li>
              ))}
            </ul>
          </div>
        ))}
      </details>
      {held.areChildren && (
        <ul aria-label="With children" className="border-l-4 border-now pl-3">
          {WITH_CHILDREN.map(line => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      <Button look="main" className="self-start" onClick={save}>
        Save the list as PDF
      </Button>
      <p className="text-[13px] text-chalk">
        Spares, bowls and times are common practice and your own pace. Follow the rules of the venue, and the
        labels on the soap and wool.
      </p>
    </section>
  );
};
