// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { useCalm } from '../session/useCalm';
import { afterwards, doNow } from '../ui/afterwards';
import { Choice } from '../ui/Choice';
import { noteDragEnd } from '../ui/dragEnd';
import { practise } from './firstTouch';
import { useInOrder } from './useInOrder';

afterEach(() => {
  doNow();
  cleanup();
});

const open = async () => {
  const client = new QueryClient();
  client.setQueryData(['count'], 1);
  const View = () => {
    useInOrder();
    const queryFn = async () => 1;
    const count = useCalm({ queryKey: ['count'], queryFn, staleTime: Infinity }) ?? 0;
    return (
      <>
        <button onClick={() => client.setQueryData(['count'], count + 1)}>{count}</button>
        <input />
      </>
    );
  };
  render(
    <QueryClientProvider client={client}>
      <View />
    </QueryClientProvider>,
  );
  await act(async () => undefined);
  return client;
};
const WATERS = [
  { value: 'hot', text: 'hot' },
  { value: 'cold', text: 'cold' },
] as const;
const key = (name: string, on: Element) =>
  on.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true }));

describe('keys and taps, in order', () => {
  it('a quick second tap steps from what the first one made, though it is not drawn yet', async () => {
    const client = await open();
    // Taps as a hand makes them, one after the other in one go: nothing is drawn in between but by the taps.
    screen.getByRole('button').click();
    await new Promise(resolve => setTimeout(resolve));
    screen.getByRole('button').click();
    screen.getByRole('button').click();
    expect(client.getQueryData(['count'])).toBe(4);
  });

  it('a tap right after a choice does what was chosen', async () => {
    const made: string[] = [];
    const View = () => {
      useInOrder();
      const [water, setWater] = useState<'hot' | 'cold'>('hot');
      return (
        <>
          <Choice label="Water" value={water} options={WATERS} onChoose={setWater} />
          <button onClick={() => made.push(water)}>Do it</button>
        </>
      );
    };
    render(<View />);
    await act(async () => undefined);
    screen.getByRole('radio', { name: 'cold' }).click();
    screen.getByRole('button').click();
    expect(made).toEqual(['cold']);
  });

  it('what was typed is told before the next tap, before a key that steps, and before the page is left', async () => {
    await open();
    const told: string[] = [];
    const input = screen.getByRole('textbox');
    afterwards(() => told.push('tap'), 60_000);
    screen.getByRole('button').click();
    afterwards(() => told.push('step'), 60_000);
    key('ArrowUp', input);
    afterwards(() => told.push('left'), 60_000);
    window.dispatchEvent(new Event('pagehide'));
    expect(told).toEqual(['tap', 'step', 'left']);
  });

  it('letters of a field and a key that is only held do not hurry it', async () => {
    await open();
    const told: string[] = [];
    afterwards(() => told.push('later'), 60_000);
    const input = screen.getByRole('textbox');
    for (const name of ['7', 'Backspace', 'End', 'Shift']) key(name, input);
    input.click();
    expect(told).toEqual([]);
    key(' ', screen.getByRole('button'));
    expect(told).toEqual(['later']);
  });

  it('the click that comes of a drag does not hurry it, the next tap does', async () => {
    await open();
    const told: string[] = [];
    const button = screen.getByRole('button');
    afterwards(() => told.push('put'), 60_000);
    noteDragEnd();
    button.click();
    expect(told).toEqual([]);
    button.click();
    expect(told).toEqual(['put']);
    // A drag of which no click came is over with the next tap.
    noteDragEnd();
    button.dispatchEvent(new Event('pointerdown', { bubbles: true }));
    afterwards(() => told.push('tap'), 60_000);
    button.click();
    expect(told).toEqual(['put', 'tap']);
  });
});

describe('what a browser learns before a hand comes', () => {
  it('is learnt on nothing that is seen, and leaves nothing behind', async () => {
    const before = document.body.innerHTML;
    let moments = 0;
    // As in a browser: what is set is drawn by itself.
    vi.stubGlobal('IS_REACT_ACT_ENVIRONMENT', false);
    await practise(async () => {
      moments += 1;
      await new Promise(resolve => setTimeout(resolve));
    });
    vi.unstubAllGlobals();
    expect(moments).toBeGreaterThan(40);
    expect(document.body.innerHTML).toBe(before);
  });
});
