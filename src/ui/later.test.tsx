// @vitest-environment happy-dom
import { act, cleanup, render, screen } from '@testing-library/react';
import { Component, type ReactNode } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { later } from './later';

afterEach(cleanup);

class Guard extends Component<{ readonly children: ReactNode }, { readonly message: string }> {
  override state = { message: '' };
  static getDerivedStateFromError = (error: unknown) => ({ message: String(error) });
  override render(): ReactNode {
    return this.state.message === '' ? this.props.children : <p>{this.state.message}</p>;
  }
}

describe('a part that comes later', () => {
  it('is shown in the moment it is there, and at once the next time', async () => {
    let asked = 0;
    const Part = later<{ readonly name: string }>(
      async () => {
        asked += 1;
        return ({ name }) => <p>Here is {name}</p>;
      },
      <p>Opening</p>,
    );
    const { unmount } = render(<Part name="one" />);
    expect(screen.getByText('Opening')).toBeTruthy();
    await act(async () => Part.fetch());
    expect(screen.getByText('Here is one')).toBeTruthy();
    unmount();
    render(<Part name="two" />);
    expect(screen.getByText('Here is two')).toBeTruthy();
    expect(asked).toBe(1);
  });

  it('that does not come is told where it is shown, and asked for again when it is shown again', async () => {
    let isThere = false;
    const Part = later(async () => {
      if (!isThere) throw new Error('offline');
      return () => <p>Here</p>;
    });
    const shown = (
      <Guard>
        <Part />
      </Guard>
    );
    // React tells of what is caught; here it is meant.
    const { unmount } = render(shown, { onCaughtError: () => undefined });
    await act(async () => Part.fetch().catch(() => undefined));
    expect(screen.getByText('Error: offline')).toBeTruthy();
    unmount();
    isThere = true;
    render(shown);
    await act(async () => Part.fetch());
    expect(screen.getByText('Here')).toBeTruthy();
  });
});
