// @vitest-environment happy-dom
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import type { Decoration } from '../../core/wool/layOrder';
import { aWorkshop } from '../../session/testing/open';
import { WorkshopContext } from '../../session/workshop';
import { doNow } from '../../ui/afterwards';
import { Decorations } from './Decorations';

afterEach(cleanup);

it('two changes that come quicker than they are drawn are both there', () => {
  const workshop = aWorkshop();
  const drawn: readonly Decoration[] = [
    { id: 'd', kind: 'motif', name: '', face: 1, first: false, woolId: null, grams: null },
  ];
  let there = drawn;
  render(
    <QueryClientProvider client={workshop.client}>
      <WorkshopContext value={workshop}>
        <Decorations
          decorations={drawn}
          faces={1}
          units="metric"
          onChange={change => {
            there = change(there);
          }}
        />
      </WorkshopContext>
    </QueryClientProvider>,
  );
  fireEvent.change(screen.getByLabelText('When decoration 1 is laid'), { target: { value: 'first' } });
  fireEvent.change(screen.getByLabelText('Kind of decoration 1'), { target: { value: 'silk' } });
  doNow();
  expect(there).toMatchObject([{ first: true, kind: 'silk' }]);
});
