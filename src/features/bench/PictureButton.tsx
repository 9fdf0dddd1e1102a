import { memo } from 'react';
import { usePictures } from '../../session/usePictures';
import { Button, buttonClass } from '../../ui/Button';

/** One tap: the device's own camera, or a file where it has none. While the picture is made ready a tap stops it. */
export const PictureButton = memo((props: { readonly pieceId: string; readonly className: string }) => {
  const { take, progress } = usePictures(props.pieceId);
  if (progress)
    return (
      <Button size="wet" className={props.className} onClick={progress.cancel}>
        <span role="status">
          {progress.done} of {progress.of} …
        </span>
        <span className="sr-only">Stop taking the picture</span>
      </Button>
    );
  return (
    <label
      className={`${buttonClass('plain', 'wet')} ${props.className} cursor-pointer focus-within:outline-3 focus-within:outline-laid`}
    >
      Picture
      <input
        type="file"
        accept="image/*"
        capture="environment"
        className="sr-only"
        onChange={e => {
          const [picked] = e.target.files ?? [];
          // Emptied, or the browser would say nothing when the same picture is chosen once more.
          e.target.value = '';
          if (picked) take(picked);
        }}
      />
    </label>
  );
});
PictureButton.displayName = 'PictureButton';
