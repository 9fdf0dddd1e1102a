import { afterEach, describe, expect, it, vi } from 'vitest';
import { hasSerial, serialScale } from './serialScale';

const encoder = new TextEncoder();

/** A port as a browser has it, that says what it is told to say. */
const fakePort = () => {
  let controller: ReadableStreamDefaultController<Uint8Array> | null = null;
  const readable = new ReadableStream<Uint8Array>({
    start: c => {
      controller = c;
    },
  });
  return {
    port: {
      readable,
      open: vi.fn<(o: { baudRate: number }) => Promise<void>>(async () => undefined),
      close: vi.fn<() => Promise<void>>(async () => undefined),
    },
    say: (text: string) => controller?.enqueue(encoder.encode(text)),
    unplug: () => controller?.error(new Error('The device has been lost.')),
  };
};
const connected = async () => {
  const fake = fakePort();
  vi.stubGlobal('navigator', { serial: { requestPort: async () => fake.port } });
  const lines: string[] = [];
  const onGone = vi.fn<() => void>();
  const letGo = await serialScale({ baudRate: 2400, onLine: line => lines.push(line), onGone });
  return { ...fake, lines, onGone, letGo };
};

afterEach(() => vi.unstubAllGlobals());

describe('a scale on the serial port', () => {
  it('hands on whole lines, however they come, and opens at the speed that was chosen', async () => {
    const { port, say, lines } = await connected();
    expect(port.open).toHaveBeenCalledWith({ baudRate: 2400 });
    say('  12.');
    say('3 g\r\n 12.4 g\r');
    say('\n12.5');
    await expect.poll(() => lines).toEqual(['  12.3 g', ' 12.4 g']);
  });

  it('unplugged in the middle, is told of once, and what was said is kept', async () => {
    const { say, unplug, lines, onGone } = await connected();
    say('7.0 g\n');
    await expect.poll(() => lines).toEqual(['7.0 g']);
    unplug();
    await expect.poll(() => onGone.mock.calls.length).toBe(1);
    expect(lines).toEqual(['7.0 g']);
  });

  it('let go of, is closed, and not told of as gone', async () => {
    const { port, letGo, onGone } = await connected();
    letGo();
    await expect.poll(() => port.close.mock.calls.length).toBe(1);
    expect(onGone).not.toHaveBeenCalled();
  });

  it('that sends garbage without an end does not fill the memory', async () => {
    const { say, lines } = await connected();
    for (let i = 0; i < 50; i += 1) say('\u0000x'.repeat(500));
    say('\n5 g\n');
    await expect.poll(() => lines.at(-1)).toBe('5 g');
    expect(Math.max(...lines.map(l => l.length))).toBeLessThanOrEqual(200);
  });

  it('where the browser has no serial port, says so', async () => {
    vi.stubGlobal('navigator', {});
    expect(hasSerial()).toBe(false);
    await expect(
      serialScale({ baudRate: 9600, onLine: () => undefined, onGone: () => undefined }),
    ).rejects.toThrow('cannot use a serial port');
  });
});
