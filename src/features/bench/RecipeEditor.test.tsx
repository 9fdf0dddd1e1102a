// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import type { Recipe } from '../../core/recipe/recipe';
import { InWorkshop } from '../../session/testing/InWorkshop';
import { aWorkshop } from '../../session/testing/open';
import { doNow } from '../../ui/afterwards';
import { RecipeEditor } from './RecipeEditor';

afterEach(cleanup);

it('what is typed and chosen quicker than it is drawn is all there', () => {
  const drawn: Recipe = {
    id: 'r',
    name: 'By count',
    steps: [
      { id: 's1', act: 'look' },
      { id: 's2', act: 'look' },
    ],
  };
  let there = drawn;
  render(
    <InWorkshop workshop={aWorkshop()}>
      <RecipeEditor
        recipe={drawn}
        units="metric"
        onChange={change => {
          there = change(there);
        }}
      />
    </InWorkshop>,
  );
  const name = screen.getByLabelText('Name of the recipe');
  fireEvent.change(name, { target: { value: 'Mine' } });
  fireEvent.blur(name);
  fireEvent.change(screen.getByLabelText('Step 1'), { target: { value: 'rinse' } });
  fireEvent.click(screen.getByRole('button', { name: 'Remove step 2' }));
  fireEvent.click(screen.getByRole('button', { name: 'Add a step' }));
  doNow();
  expect(there).toMatchObject({ name: 'Mine', steps: [{ id: 's1', act: 'rinse' }, { act: 'look' }] });
});
