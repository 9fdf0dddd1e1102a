import { useState } from 'react';
import { usePictures } from '../../session/usePictures';
import { Button } from '../../ui/Button';
import { JobLine } from '../../ui/JobLine';

/** A picture that was only looked at goes into the diary, where it is asked for: made smaller, without place or camera. */
export const KeepPicture = ({ pieceId, file }: { readonly pieceId: string; readonly file: Blob }) => {
  const { take, progress } = usePictures(pieceId);
  const [kept, setKept] = useState<Blob | null>(null);
  if (progress)
    return (
      <JobLine
        words="Keeping it"
        job={{ percent: (100 * progress.done) / progress.of, stop: progress.cancel }}
      />
    );
  return (
    <Button size="wet" disabled={kept === file} onClick={() => take(file, () => setKept(file))}>
      Keep it in the diary
    </Button>
  );
};
