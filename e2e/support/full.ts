/** Whether the whole matrix is run (`npm run test:full`): what the fast suite proves by one of each, once for each. */
export const FULL = process.env.FULL === '1';
