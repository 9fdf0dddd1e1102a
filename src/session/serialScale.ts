/** What Jorrit uses of the browser's serial port; not every browser has one. */
interface SerialPortLike {
  readonly readable: ReadableStream<Uint8Array> | null;
  readonly open: (options: { readonly baudRate: number }) => Promise<void>;
  readonly close: () => Promise<void>;
}
interface SerialLike {
  readonly requestPort: () => Promise<SerialPortLike>;
}

const isSerial = (value: unknown): value is SerialLike =>
  typeof value === 'object' && value !== null && 'requestPort' in value;

/** The browser's serial ports; null where it has none. */
const serialOf = (from: Navigator): SerialLike | null => {
  const serial: unknown = 'serial' in from ? from.serial : null;
  return isSerial(serial) ? serial : null;
};

export const hasSerial = (): boolean => serialOf(navigator) !== null;

/** Longer lines than these are no scale's. */
const LONGEST_LINE = 200;

/**
 * Lets the felter choose a scale and hands on its lines, until it is let go of or unplugged.
 * @param options.baudRate as the scale's own booklet says, often 9600
 * @returns what lets go of it; fails when none was chosen or it cannot be opened
 */
export const serialScale = async (options: {
  readonly baudRate: number;
  readonly onLine: (line: string) => void;
  readonly onGone: () => void;
}): Promise<() => void> => {
  const port = await serialOf(navigator)?.requestPort();
  if (!port) throw new Error('This browser cannot use a serial port.');
  await port.open({ baudRate: options.baudRate });
  const reader = port.readable?.getReader();
  if (!reader) throw new Error('The scale does not answer.');
  let isLet = false;
  const listen = async (): Promise<void> => {
    const decoder = new TextDecoder();
    let text = '';
    for (;;) {
      const { value, done } = await reader.read();
      if (done) return;
      text += decoder.decode(value, { stream: true });
      const lines = text.split(/[\r\n]+/);
      text = (lines.pop() ?? '').slice(-LONGEST_LINE);
      for (const line of lines) if (line !== '') options.onLine(line.slice(0, LONGEST_LINE));
    }
  };
  listen()
    .catch(() => undefined)
    .then(() => port.close())
    .catch(() => undefined)
    .finally(() => {
      if (!isLet) options.onGone();
    });
  return () => {
    isLet = true;
    reader.cancel().catch(() => undefined);
  };
};
