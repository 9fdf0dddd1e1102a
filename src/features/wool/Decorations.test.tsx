// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import type { Decoration } from '../../core/wool/layOrder';
import { InWorkshop } from '../../session/testing/InWorkshop';
import { aWorkshop } from '../../session/testing/open';
import { doNow } from '../../ui/afterwards';
import { Decorations } from './Decorations';

afterEach(cleanup);

it('two changes that come quicker than they are drawn are both there', () => {
  const drawn: readonly Decoration[] = [
    { id: 'd', kind: 'motif', name: '', face: 1, first: false, woolId: null, grams: null },
  ];
  let there = drawn;
  render(
    <InWorkshop workshop={aWorkshop()}>
      <Decorations
        decorations={drawn}
        faces={1}
        units="metric"
        onChange={change => {
          there = change(there);
        }}
      />
    </InWorkshop>,
  );
  fireEvent.change(screen.getByLabelText('When decoration 1 is laid'), { target: { value: 'first' } });
  fireEvent.change(screen.getByLabelText('Kind of decoration 1'), { target: { value: 'silk' } });
  doNow();
  expect(there).toMatchObject([{ first: true, kind: 'silk' }]);
});
