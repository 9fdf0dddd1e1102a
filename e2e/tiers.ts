/** Whether all tests run: `npm run test:all`, and the long runs of `npm run attack`. `npm test` leaves out those that are marked as long. */
export const isWhole = process.env['TESTS'] === 'all' || process.env['ATTACK'] === 'long';

/** Marks a test that runs with `npm run test:all` only: another has the same road, or a machine of two cores is busy with it for long. */
export const LONG = { tag: '@long' } as const;

/** For a list of tests alike: those that run each time, and the rest with all. */
export const eachTime = (is: boolean): { readonly tag?: string } => (is ? {} : LONG);
