import { useState } from 'react';
import type { ActOf } from '../../core/acts/act';
import { usePictureUrl } from '../../session/usePictures';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/TextField';

/** A picture in the diary, large, with the words that belong to it. */
export const DiaryPicture = (props: {
  readonly act: ActOf<'picture'>;
  readonly notes: readonly string[];
  readonly onNote: (text: string) => void;
  readonly onTakeBack: () => void;
}) => {
  const { act, notes } = props;
  const url = usePictureUrl(act.hash);
  const [text, setText] = useState('');
  const add = (): void => {
    if (text.trim() === '') return;
    props.onNote(text.trim());
    setText('');
  };
  return (
    <figure className="my-2 max-w-xl break-inside-avoid">
      <div className="bg-rim/40" style={{ aspectRatio: `${act.widthPx} / ${act.heightPx}` }}>
        {url && <img src={url} alt={notes[0] ?? 'The piece at this point'} className="h-full w-full" />}
      </div>
      <figcaption>
        {notes.map((note, i) => (
          <p key={i}>{note}</p>
        ))}
        <div className="no-print mt-1 flex flex-wrap items-end gap-2">
          <TextField label="What it shows" value={text} onText={setText} className="min-w-52 flex-1" />
          <Button disabled={text.trim() === ''} onClick={add}>
            Add
          </Button>
          <Button look="bare" onClick={props.onTakeBack}>
            Take out
          </Button>
        </div>
      </figcaption>
    </figure>
  );
};
