import type { fibreDirection } from '../../core/wool/layOrder';
import { Choice } from '../../ui/Choice';
import { directionWords } from '../../words/laying';

/** Which layer is shown on the drawing. */
export const LayerChoice = ({
  layers,
  shown,
  way,
  onShow,
}: {
  readonly layers: number;
  readonly shown: number;
  readonly way: ReturnType<typeof fibreDirection>;
  readonly onShow: (index: number) => void;
}) => (
  <div className="mb-4 flex flex-wrap items-center gap-3">
    <Choice
      label="Layer on the table"
      value={String(shown)}
      options={Array.from({ length: layers }, (_, i) => ({
        value: String(i),
        text: i + 1,
        name: `layer ${i + 1}`,
      }))}
      onChoose={v => onShow(Number(v))}
    />
    <p>
      Layer {shown + 1} lies {directionWords(way)}.
    </p>
  </div>
);
