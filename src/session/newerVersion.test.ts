import { describe, expect, test } from 'vitest';
import { followNewer } from './newerVersion';

/** A registration as the browser keeps it, moved on by hand. */
const registered = () => {
  const events = new EventTarget();
  const worker = (): ServiceWorker => Object.assign(new EventTarget() as ServiceWorker);
  const state = {
    installing: null as ServiceWorker | null,
    waiting: null as ServiceWorker | null,
    active: null as ServiceWorker | null,
    addEventListener: events.addEventListener.bind(events),
  };
  return {
    state,
    found: () => {
      state.installing = worker();
      events.dispatchEvent(new Event('updatefound'));
    },
    fetched: () => {
      const { installing } = state;
      [state.waiting, state.installing] = [installing, null];
      installing?.dispatchEvent(new Event('statechange'));
    },
    works: () => {
      [state.active, state.waiting] = [state.waiting, null];
    },
  };
};

const toldOf = (of: ReturnType<typeof registered>): { times: number } => {
  const told = { times: 0 };
  followNewer(of.state, () => {
    told.times += 1;
  });
  return told;
};

describe('a newer version is told of once it waits', () => {
  const atWork = () => {
    const of = registered();
    of.found();
    of.fetched();
    of.works();
    return of;
  };

  test('found while the page is open', () => {
    const of = atWork();
    const told = toldOf(of);
    of.found();
    expect(told.times).toBe(0);
    of.fetched();
    expect(told.times).toBe(1);
  });

  test('already being fetched when the page asks', () => {
    const of = atWork();
    of.found();
    const told = toldOf(of);
    expect(told.times).toBe(0);
    of.fetched();
    expect(told.times).toBe(1);
  });

  test('already waiting when the page asks', () => {
    const of = atWork();
    of.found();
    of.fetched();
    expect(toldOf(of).times).toBe(1);
  });

  test('not the first of all: there is nothing older', () => {
    const of = registered();
    const told = toldOf(of);
    of.found();
    of.fetched();
    of.works();
    expect(told.times).toBe(0);
  });
});
