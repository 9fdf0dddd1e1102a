import { describe, expect, it } from 'vitest';
import { ABILITY_WORDS } from '../src/words/abilities';
import { houseWords } from './houseWords';
import { addressFrom, listenFailure, reachableAt, USUAL_PORT } from './address';

describe('what is said of an address of the house', () => {
  it('is a code for cameras, the address, and what browsers withhold there', async () => {
    const said = await houseWords('http://192.168.1.20:4870');
    expect(said).toContain('▄');
    expect(said).toContain('http://192.168.1.20:4870');
    for (const words of Object.values(ABILITY_WORDS)) expect(said).toContain(words);
  });
});

describe('where Jorrit is served', () => {
  it('is one address unless it is asked otherwise: each address is a workshop of its own', () => {
    expect(addressFrom([], {})).toEqual({ ok: true, port: USUAL_PORT, host: '127.0.0.1' });
    expect(addressFrom(['--port', '5000'], { PORT: '6000' })).toMatchObject({ port: 5000 });
    expect(addressFrom(['--port=5001'], {})).toMatchObject({ port: 5001 });
    expect(addressFrom([], { PORT: '6000', HOST: '0.0.0.0' })).toMatchObject({ port: 6000, host: '0.0.0.0' });
    expect(addressFrom(['--lan'], { HOST: '127.0.0.1' })).toMatchObject({
      port: USUAL_PORT,
      host: '0.0.0.0',
    });
    expect(addressFrom([], { PORT: '' })).toMatchObject({ port: USUAL_PORT });
  });

  it.each([['twelve'], ['70000'], ['-1'], ['80.5'], ['']])('refuses the port “%s” in a sentence', given => {
    expect(addressFrom(['--port', given], {})).toEqual({
      ok: false,
      why: `“${given}” is no port. Give a number from 1 to 65535.`,
    });
  });

  it('says why it cannot listen, and what to do, without a stack', () => {
    const failure = (code: string) =>
      listenFailure(Object.assign(new Error(code), { code }), { port: 4870, host: '10.9.9.9' });
    expect(failure('EADDRINUSE')).toMatch(/busy.*stop what uses the port.*another, empty workshop/);
    expect(failure('EACCES')).toMatch(/above 1023/);
    expect(failure('EADDRNOTAVAIL')).toMatch(/no address 10\.9\.9\.9/);
    for (const code of ['EADDRINUSE', 'EACCES', 'EADDRNOTAVAIL', 'EOTHER'])
      expect(failure(code)).not.toMatch(/\n|at .*:\d+:\d+/);
  });

  it('announces addresses that lead there', () => {
    expect(reachableAt('127.0.0.1', 4870)).toEqual(['http://127.0.0.1:4870']);
    expect(reachableAt('::1', 4870)).toEqual(['http://[::1]:4870']);
    for (const any of ['0.0.0.0', '::']) {
      const all = reachableAt(any, 4870);
      expect(all[0]).toBe('http://127.0.0.1:4870');
      expect(all.join(' ')).not.toMatch(/0\.0\.0\.0|\[::\]/);
    }
  });
});
