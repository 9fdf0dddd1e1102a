// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { useCalmMany } from './useCalmMany';

const FOR_EVER = { staleTime: Infinity, gcTime: Infinity } as const;
const of = (name: string) => ({ queryKey: [name], queryFn: async () => `${name}, read`, ...FOR_EVER });
const aMoment = () => act(async () => new Promise(resolve => setTimeout(resolve, 10)));
const shown = (): string | null => screen.getByRole('paragraph').textContent;

afterEach(cleanup);

describe('several things that the cache holds', () => {
  it('are read, shown in their order and kept in step; what did not change stays the same list', async () => {
    const client = new QueryClient();
    const lists = new Set<unknown>();
    const Logs = ({ names }: { readonly names: readonly string[] }) => {
      const logs = useCalmMany(names.map(of));
      lists.add(logs);
      return <p>{logs.map(log => log ?? 'being read').join('; ')}</p>;
    };
    const view = (names: readonly string[]) => (
      <QueryClientProvider client={client}>
        <Logs names={names} />
      </QueryClientProvider>
    );
    const { rerender } = render(view(['one', 'two']));
    expect(shown()).toBe('being read; being read');
    await aMoment();
    expect(shown()).toBe('one, read; two, read');
    lists.clear();
    rerender(view(['one', 'two']));
    rerender(view(['one', 'two']));
    expect(lists.size).toBe(1);
    client.setQueryData(['two'], 'a set more');
    await aMoment();
    expect(shown()).toBe('one, read; a set more');
    rerender(view(['two']));
    expect(shown()).toBe('a set more');
    // What changed while something else was shown is not shown as it was.
    client.setQueryData(['one'], 'laid anew');
    rerender(view(['one', 'two']));
    expect(shown()).toBe('laid anew; a set more');
    rerender(view([]));
    expect(shown()).toBe('');
  });
});
