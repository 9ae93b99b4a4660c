/** Property tests as they are, with many times as many cases, and other ones every time. */
import * as all from '../../node_modules/fast-check/lib/fast-check.js';

export * from '../../node_modules/fast-check/lib/fast-check.js';

const TIMES = Number(process.env.PROPERTIES_TIMES);
const more = (given = {}) => ({ ...given, numRuns: (given.numRuns ?? 100) * TIMES });
export const assert = (property, given) => all.assert(property, more(given));
export default { ...all.default, assert };
