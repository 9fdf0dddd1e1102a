import { Button } from './Button';
import { FileButton } from './FileButton';

/** Where a picture comes from: the device’s own camera, a file, or the program itself, to try it. */
export const PictureSource = (props: {
  /** Wet: for an elbow. */
  readonly size?: 'dry' | 'wet';
  /** True where one is there already. */
  readonly isAnother: boolean;
  readonly onPick: (file: File) => void;
  readonly onMadeUp: () => void;
}) => {
  const { size = 'dry', isAnother, onPick, onMadeUp } = props;
  return (
    <div className="flex flex-wrap items-center gap-3">
      <FileButton size={size} accept="image/*" capture onPick={onPick}>
        {isAnother ? 'Another picture' : 'Take a picture'}
      </FileButton>
      <FileButton size={size} accept="image/*" onPick={onPick}>
        Open a picture
      </FileButton>
      <Button size={size} look="bare" onClick={onMadeUp}>
        Try it with a made-up one
      </Button>
    </div>
  );
};
