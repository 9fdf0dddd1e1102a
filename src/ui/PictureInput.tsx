import { Button } from './Button';
import { FileButton } from './FileButton';

/** Chooses a picture; while it is made ready, says how far it is and can be stopped. */
export const PictureInput = (props: {
  readonly progress: { readonly done: number; readonly of: number; readonly cancel: () => void } | null;
  readonly onFile: (file: File) => void;
  readonly children: string;
}) => {
  const { progress } = props;
  return progress ? (
    <Button onClick={progress.cancel}>
      <span role="status">
        Picture, {progress.done} of {progress.of} …
      </span>{' '}
      Stop
    </Button>
  ) : (
    <FileButton accept="image/*" onPick={props.onFile}>
      {props.children}
    </FileButton>
  );
};
