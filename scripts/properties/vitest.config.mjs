import { mergeConfig } from 'vitest/config';
import base from '../../vitest.config.ts';

/** Cases in their thousands: no test is too slow, and each of them tells the seed that it fell at. */
export default mergeConfig(base, {
  resolve: {
    alias: { 'fast-check': new URL('./fastCheck.mjs', import.meta.url).pathname },
  },
  test: { testTimeout: 0 },
});
