// @vitest-environment happy-dom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { doNow } from './afterwards';
import { Choice } from './Choice';
import { DateField } from './DateField';
import { NumberField, type Read } from './NumberField';
import { Select, wordOptions } from './Select';
import { TextField } from './TextField';
import { Tick } from './Tick';

afterEach(cleanup);

const read = (text: string): Read =>
  Number.isFinite(Number(text)) ? { ok: true, value: Number(text) } : { ok: false, why: 'No figure.' };

/** A figure with its steps; `takes` says whether what is handed on is taken. */
const Figure = ({ told }: { readonly told: number[] }) => {
  const [value, setValue] = useState(5);
  const put = (v: number): void => {
    told.push(v);
    setValue(v);
  };
  return (
    <NumberField label="Width" shown={String(value)} read={read} onValue={put} onStep={n => put(value + n)} />
  );
};
const field = () => screen.getByRole<HTMLInputElement>('textbox');
const write = (text: string) => fireEvent.change(field(), { target: { value: text } });

describe('a figure that is typed', () => {
  it('stands there at once, and is handed on when the next tap comes', () => {
    const told: number[] = [];
    render(<Figure told={told} />);
    write('30');
    expect(field().value).toBe('30');
    expect(told).toEqual([]);
    act(doNow);
    expect(told).toEqual([30]);
  });

  it('is handed on once, however many letters it has, when the field is left', () => {
    const told: number[] = [];
    render(<Figure told={told} />);
    write('3');
    write('31');
    fireEvent.blur(field());
    expect(told).toEqual([31]);
    expect(field().value).toBe('31');
  });

  it('that cannot be read is said, stays, and is handed to nobody; Escape brings the last good one back', async () => {
    const told: number[] = [];
    render(<Figure told={told} />);
    write('3x');
    fireEvent.blur(field());
    expect(screen.getByRole('alert').textContent).toBe('No figure.');
    expect(field().value).toBe('3x');
    fireEvent.keyDown(field(), { key: 'Escape' });
    expect(field().value).toBe('5');
    act(doNow);
    expect(told).toEqual([]);
  });

  it('is stepped from what was typed last, once that was told before the key, as every page has it', () => {
    const told: number[] = [];
    render(<Figure told={told} />);
    write('40');
    act(doNow);
    fireEvent.keyDown(field(), { key: 'ArrowUp' });
    fireEvent.keyDown(field(), { key: 'ArrowUp', shiftKey: true });
    expect(told).toEqual([40, 41, 51]);
    expect(field().value).toBe('51');
  });
});

describe('a text that is typed', () => {
  it('is seen at once, told after it, and no letter of it is lost when it is left', () => {
    const told: string[] = [];
    const Name = () => {
      const [name, setName] = useState('Bowl');
      const put = (text: string): void => {
        told.push(text);
        setName(text);
      };
      return <TextField label="Name" value={name} onText={put} required />;
    };
    render(<Name />);
    write('Bowls');
    expect(field().value).toBe('Bowls');
    expect(told).toEqual([]);
    write('Bowls, two');
    fireEvent.blur(field());
    expect(told).toEqual(['Bowls', 'Bowls, two']);
    write('');
    fireEvent.blur(field());
    expect(told).toHaveLength(2);
    expect(field().value).toBe('Bowls, two');
  });
});

describe('what is ticked, picked from a list, or a day', () => {
  it('is seen at once though it is told after that, and stands', () => {
    const told: unknown[] = [];
    const Fields = () => {
      const [isOn, setOn] = useState(false);
      const [kind, setKind] = useState('batt');
      const [day, setDay] = useState<string | null>(null);
      const tell =
        <T,>(set: (value: T) => void) =>
        (value: T) => {
          told.push(value);
          set(value);
        };
      return (
        <>
          <Tick aria-label="Done" isOn={isOn} onTick={tell(setOn)} />
          <Select label="Form" value={kind} options={wordOptions(['batt', 'tops'])} onPick={tell(setKind)} />
          <DateField label="Wanted on" value={day} onDay={tell(setDay)} />
        </>
      );
    };
    render(<Fields />);
    const tick = screen.getByRole<HTMLInputElement>('checkbox');
    const list = screen.getByRole<HTMLSelectElement>('combobox');
    const date = screen.getByLabelText<HTMLInputElement>('Wanted on');
    fireEvent.click(tick);
    fireEvent.change(list, { target: { value: 'tops' } });
    fireEvent.change(date, { target: { value: '2026-12-24' } });
    const shown = (): readonly unknown[] => [tick.checked, list.value, date.value];
    expect([told, shown()]).toEqual([[], [true, 'tops', '2026-12-24']]);
    act(doNow);
    expect([told, shown()]).toEqual([
      [true, 'tops', '2026-12-24'],
      [true, 'tops', '2026-12-24'],
    ]);
  });
});

describe('one of a few that is chosen', () => {
  const OPTIONS = [
    { value: 'hot', text: 'hot' },
    { value: 'cold', text: 'cold' },
  ] as const;
  const isOn = (name: string): boolean =>
    screen.getByRole('radio', { name }).getAttribute('aria-checked') === 'true';

  it('is seen at once, told after it; one that is not taken goes back', () => {
    const told: string[] = [];
    const Water = () => {
      const [water, setWater] = useState<'hot' | 'cold'>('hot');
      const choose = (w: 'hot' | 'cold'): void => {
        told.push(w);
        if (told.length === 1) setWater(w);
      };
      return <Choice label="Water" value={water} options={OPTIONS} onChoose={choose} />;
    };
    render(<Water />);
    fireEvent.click(screen.getByRole('radio', { name: 'cold' }));
    expect(isOn('cold')).toBe(true);
    expect(told).toEqual([]);
    act(doNow);
    expect(told).toEqual(['cold']);
    expect(isOn('cold')).toBe(true);
    fireEvent.click(screen.getByRole('radio', { name: 'hot' }));
    expect(isOn('hot')).toBe(true);
    act(doNow);
    expect(isOn('cold')).toBe(true);
  });
});
