import { buttonClass } from './Button';

/** Picks a file. The same file can be picked again after it was changed elsewhere. */
export const FileButton = (props: {
  readonly accept: string;
  /** True where the device’s own camera is meant. */
  readonly capture?: true;
  /** Wet: for an elbow. */
  readonly size?: 'dry' | 'wet';
  readonly onPick: (file: File) => void;
  readonly children: string;
}) => (
  <label
    className={`${buttonClass('plain', props.size ?? 'dry')} cursor-pointer focus-within:outline-3 focus-within:outline-laid`}
  >
    {props.children}
    <input
      type="file"
      accept={props.accept}
      {...(props.capture ? { capture: 'environment' } : {})}
      className="sr-only"
      onChange={e => {
        const [picked] = e.target.files ?? [];
        // Emptied, or the browser would say nothing when the same name is picked once more.
        e.target.value = '';
        if (picked) props.onPick(picked);
      }}
    />
  </label>
);
