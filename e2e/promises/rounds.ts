import type { TestInfo } from '@playwright/test';

/** How often something is tried: a few times with every test run, often in the long run that `npm run attack` asks for. */
export const rounds = (short: number, long: number): number =>
  process.env['ATTACK'] === 'long' ? long : short;

/** Notes what was measured, for the table of the long run. */
export const measured = (info: TestInfo, text: string): void =>
  void info.annotations.push({ type: 'measured', description: text });
