/** How often something made up by chance is tried, or how close so many come: few with every `npm test`, all with `npm run test:all`. */
export const tries = (few: number, all: number): number => (process.env['TESTS'] === 'all' ? all : few);
