// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render, screen } from '@testing-library/react';
import { useEffect } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { flushSync } from 'react-dom';
import { drawNow, useCalm, useCalmAnswer, useCalmChanges } from './useCalm';

const FOR_EVER = { staleTime: Infinity, gcTime: Infinity } as const;
const of = (name: string) => ({ queryKey: [name], queryFn: async () => `${name}, read`, ...FOR_EVER });

const List = ({ name }: { readonly name: string }) => <p>{useCalm(of(name)) ?? 'being read'}</p>;
const shown = (): string | null => screen.getByRole('paragraph').textContent;
const open = (client: QueryClient, view: React.ReactNode) => (
  <QueryClientProvider client={client}>{view}</QueryClientProvider>
);

afterEach(cleanup);

describe('what the cache holds, drawn calmly', () => {
  it('is read, shown, and kept in step', async () => {
    const client = new QueryClient();
    render(open(client, <List name="wools" />));
    expect(shown()).toBe('being read');
    await act(async () => undefined);
    await act(async () => new Promise(resolve => setTimeout(resolve, 10)));
    expect(shown()).toBe('wools, read');
    await act(async () => {
      client.setQueryData(['wools'], 'a wool more');
      await new Promise(resolve => setTimeout(resolve, 10));
    });
    expect(shown()).toBe('a wool more');
  });

  it('is there at once where it is known, and another name is another list', async () => {
    const client = new QueryClient();
    client.setQueryData(['wools'], 'all wools');
    const { rerender } = render(open(client, <List name="wools" />));
    expect(shown()).toBe('all wools');
    rerender(open(client, <List name="parts" />));
    expect(shown()).toBe('being read');
    await act(async () => new Promise(resolve => setTimeout(resolve, 10)));
    expect(shown()).toBe('parts, read');
  });

  it('what changed while another name was shown is not shown as it was', async () => {
    const client = new QueryClient();
    client.setQueryData(['wools'], 'one');
    client.setQueryData(['parts'], 'parts');
    const { rerender } = render(open(client, <List name="wools" />));
    await act(async () => {
      client.setQueryData(['wools'], 'two');
      await new Promise(resolve => setTimeout(resolve, 10));
    });
    expect(shown()).toBe('two');
    rerender(open(client, <List name="parts" />));
    client.setQueryData(['wools'], 'three');
    rerender(open(client, <List name="wools" />));
    await act(async () => new Promise(resolve => setTimeout(resolve, 10)));
    expect(shown()).toBe('three');
  });

  it('an answer stands until there is a later one, and says that one is on its way', async () => {
    const client = new QueryClient();
    let answer = (text: string): void => void text;
    const Answer = ({ asks }: { readonly asks: string }) => {
      const queryFn = () => new Promise<string>(resolve => void (answer = resolve));
      const got = useCalmAnswer({ queryKey: [asks], queryFn, ...FOR_EVER });
      return (
        <p>
          {got?.data ?? 'none'}, {got?.isFetching === false ? 'at rest' : 'to come'}
        </p>
      );
    };
    const answered = (text: string) =>
      act(async () => {
        answer(text);
        await new Promise(resolve => setTimeout(resolve, 10));
      });
    const { rerender } = render(open(client, <Answer asks="1" />));
    expect(shown()).toBe('none, to come');
    await act(async () => undefined);
    await answered('first');
    expect(shown()).toBe('first, at rest');
    await act(async () => rerender(open(client, <Answer asks="2" />)));
    expect(shown()).toBe('first, to come');
    await answered('second');
    expect(shown()).toBe('second, at rest');
  });
});

describe('what a hand chooses, drawn calmly', () => {
  it('each change goes on from the last, drawn or not, and a tap that comes before finds all of them drawn', async () => {
    const drawn: string[] = [];
    let choose = (more: { readonly count?: number; readonly panel?: string }): void => void more;
    const Bench = () => {
      const [now, change] = useCalmChanges({ count: 1, panel: 'none' });
      useEffect(() => {
        choose = more => change(() => more);
      }, [change]);
      useEffect(() => void drawn.push(`${now.count} ${now.panel}`), [now]);
      return <p>{`${now.count} ${now.panel}`}</p>;
    };
    render(<Bench />);
    await act(async () => {
      choose({ count: 2 });
      choose({ panel: 'measure' });
      // Not in the tap itself.
      expect(drawn).toEqual(['1 none']);
      drawNow(flushSync);
      expect(shown()).toBe('2 measure');
    });
    expect(shown()).toBe('2 measure');
    await act(async () => choose({ panel: 'none' }));
    expect(shown()).toBe('2 none');
  });
});
