import { lampVariables } from '../../src/ui/shell/testing/lamps';
import { expectAccessible } from '../support/axe';
import { open, still } from '../support/browser';
import { SCREENS } from '../support/screens';
import { test } from '../support/test';

for (const [name, address, prepare] of SCREENS) {
  test(`${name}: accessible in every lamp, and in colors of one's own`, async ({ page }) => {
    test.setTimeout(150_000);
    await open(page, address);
    await prepare?.(page);
    for (const lamp of lampVariables().keys()) {
      await page.evaluate((one) => {
        document.documentElement.dataset.lamp = one;
      }, lamp);
      await still(page);
      await expectAccessible(page, lamp);
    }
    await page.emulateMedia({ forcedColors: 'active' });
    await still(page);
    await expectAccessible(page, 'forced colors');
  });
}
