import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect } from './test';

/**
 * Every rule of the tool for WCAG 2.2 AA and good practice finds nothing on the page as it stands.
 * @param contrast whether it works out contrasts, too; where each pair of words and ground is known already it need not.
 */
export async function expectAccessible(page: Page, lamp: string, contrast = true): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    // Where what is right stands on the page need not be worked out for each of its elements.
    .options({ resultTypes: ['violations'] })
    // There are no frames, so that all of it can be worked out on the page itself.
    .setLegacyMode()
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .disableRules(contrast ? [] : ['color-contrast'])
    .analyze();
  expect(violations.map((one) => `${lamp}: ${one.id}: ${one.nodes[0]?.html} ${one.nodes[0]?.failureSummary}`)).toEqual(
    [],
  );
}
