// @vitest-environment happy-dom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, expect, it } from 'vitest';
import { InWorkshop } from '../../session/testing/InWorkshop';
import { aWorkshop } from '../../session/testing/open';
import { doNow } from '../../ui/afterwards';
import { RecordView } from './RecordView';

afterEach(cleanup);

it('what is emptied and sorted quicker than it is drawn is both done', async () => {
  render(
    <MemoryRouter>
      <InWorkshop workshop={aWorkshop()}>
        <RecordView />
      </InWorkshop>
    </MemoryRouter>,
  );
  const find = await screen.findByLabelText('Find');
  fireEvent.change(find, { target: { value: 'ferry' } });
  doNow();
  act(() => {
    fireEvent.change(find, { target: { value: '' } });
    fireEvent.change(screen.getByLabelText('Sorted by'), { target: { value: 'grams' } });
    doNow();
  });
  fireEvent.blur(find);
  expect(screen.getByLabelText('Sorted by')).toHaveProperty('value', 'grams');
  expect(find).toHaveProperty('value', '');
});
