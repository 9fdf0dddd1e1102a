import { useMemo, useState } from 'react';
import type { Act } from '../../core/acts/act';
import type { FormPlan } from '../../core/forms/formKind';
import { HALF, type LightReading, type LitPlace } from '../../core/light/lightCheck';
import { lightGrade, litActs } from '../../core/light/litActs';
import { showQuantity, showShare, type UnitSystem } from '../../core/units/units';
import { turnBackFor } from '../../drawing/orient';
import { pieceScene } from '../../drawing/scene';
import { useLightCheck } from '../../session/useLightCheck';
import { JobLine } from '../../ui/JobLine';
import { PictureSource } from '../../ui/PictureSource';
import { PictureWithLines } from '../../ui/PictureWithLines';
import { FELT_TEST_WORDS } from '../../words/feltTests';
import { issueWhole } from '../../words/issues';
import { KeepPicture } from './KeepPicture';
import { PanelFrame } from './PanelFrame';

/** The picture with the outline laid onto it, and what is thin in it, by numbers. */
const Lit = ({
  url,
  reading,
  chosen,
}: {
  readonly url: string;
  readonly reading: LightReading | null;
  readonly chosen: ReadonlySet<number>;
}) => (
  <PictureWithLines
    url={url}
    alt="The piece against the light"
    lines={reading ? [{ points: reading.outline, closed: true, look: 'line-laid' }] : []}
  >
    {reading?.places.map((p, i) => (
      <span
        key={i}
        aria-hidden="true"
        className={`absolute flex size-8 -translate-x-1/2 -translate-y-1/2 items-center justify-center rounded-full border-2 border-wanted text-base font-semibold ${chosen.has(i) ? 'bg-wanted text-soap' : 'bg-soap text-wanted'}`}
        style={{ left: `${100 * p.inPicture.x}%`, top: `${100 * p.inPicture.y}%` }}
      >
        {i + 1}
      </span>
    ))}
  </PictureWithLines>
);

/** What a picture cannot know, and what this one says of itself. */
const Cannot = ({ reading }: { readonly reading: LightReading }) => (
  <ul className="list-disc pl-6 text-base text-chalk">
    {reading.isTurnUnknown && (
      <li>Its outline looks alike turned another way: where a place lies, look for in the picture.</li>
    )}
    {reading.isMirrored && <li>It is seen from its other side.</li>}
    {reading.isSideUnknown && !reading.isTurnUnknown && (
      <li>It looks alike from both sides. Taken from the back, its places are marked the wrong way round.</li>
    )}
    {reading.isMixed && (
      <li>Its colours differ. Each wool keeps back light in its own way: a pale one may only look thin.</li>
    )}
    <li>
      A picture does not tell wet from dry, nor what lies folded double. Tried on made-up pictures only.
    </li>
  </ul>
);

/** A picture against a window or a lamp shows where a piece is thin: where, how large and how thin. What is chosen is marked, to be mended and looked at again. */
export const LightPanel = (props: {
  readonly form: FormPlan;
  readonly pieceId: string;
  readonly units: UnitSystem;
  readonly onLog: (acts: readonly Act[]) => void;
  readonly onCancel: () => void;
}) => {
  const { form, pieceId, units } = props;
  const outline = useMemo(
    () =>
      pieceScene(form, { foldOverMm: 0 })
        .shapes.filter(s => s.role === 'laid')
        .map(s => s.points),
    [form],
  );
  const { seen, job, look, madeUp } = useLightCheck(outline);
  const [left, setLeft] = useState<ReadonlySet<LitPlace>>(new Set());
  const reading = seen?.reading ?? null;
  const places = reading?.places ?? [];
  const chosen = new Set(places.flatMap((p, i) => (left.has(p) ? [] : [i])));
  const mark = (): void => {
    if (!reading) return;
    const kept = places.filter(p => !left.has(p));
    props.onLog(litActs(reading, kept, turnBackFor(form.alongOnTable)));
  };
  const grade = FELT_TEST_WORDS.light.grades[lightGrade({ places })] ?? '';
  const words = chosen.size === 0 ? `Save: ${grade}` : `Mark ${chosen.size} to mend`;
  return (
    <PanelFrame
      title="Hold it before a window or a lamp, with light all round it, and take a picture."
      label="Against the light"
      back="Back"
      {...(reading && !seen?.isMadeUp ? { great: { words, run: mark } } : {})}
      onCancel={props.onCancel}
    >
      <PictureSource
        size="wet"
        isAnother={seen !== null}
        onPick={file => look(file, undefined)}
        onMadeUp={() => madeUp(undefined)}
      />
      <p className="text-base text-chalk">
        The picture stays on this device, and is not kept unless you say so.
      </p>
      {job && <JobLine words="Looking" job={job} />}
      {seen && (
        <div className="flex flex-wrap gap-4">
          <Lit url={seen.url} reading={reading} chosen={chosen} />
          <div className="min-w-64 flex-1">
            {seen.issues.map((it, i) => (
              <p key={i} role="alert" className="text-xl">
                {issueWhole(it)}
              </p>
            ))}
            {reading && (
              <p role="status" className="text-xl font-semibold">
                {places.length === 0
                  ? 'Even all over, but for the rim.'
                  : places.length === 1
                    ? 'One thin place.'
                    : `${places.length} thin places, thinnest first.`}
              </p>
            )}
            <ol>
              {places.map((p, i) => (
                <li key={i}>
                  <label className="flex min-h-16 items-center gap-3 text-lg">
                    <input
                      type="checkbox"
                      className="size-6"
                      checked={chosen.has(i)}
                      onChange={() =>
                        setLeft(was => new Set(was.has(p) ? [...was].filter(q => q !== p) : [...was, p]))
                      }
                    />
                    <span>
                      <b>{i + 1}.</b> {showQuantity(p.acrossMm, 'length', units)} across, has{' '}
                      {showShare(p.share)} of what most of it has{p.share < HALF ? ': under half' : ''}
                    </span>
                  </label>
                </li>
              ))}
            </ol>
            {seen.isMadeUp ? (
              <p className="text-lg">A made-up picture: nothing of it is saved.</p>
            ) : (
              <KeepPicture pieceId={pieceId} file={seen.file} />
            )}
            {reading && <Cannot reading={reading} />}
          </div>
        </div>
      )}
    </PanelFrame>
  );
};
