import type { Page } from '@playwright/test';

/**
 * What does not fit on a page as it stands: a page that scrolls sideways, words wider than their box, controls of no size,
 * and what a field is like where it can't be seen. What is drawn true to its proportions (a program's window, keys,
 * sheets) and what says that it may be cut is left out, and so is what can be scrolled to.
 */
export async function misfits(page: Page): Promise<readonly string[]> {
  return page.evaluate(() => {
    const bad: string[] = [];
    const root = document.documentElement;
    if (root.scrollWidth > window.innerWidth) bad.push(`the page is ${root.scrollWidth} wide in ${window.innerWidth}`);
    const drawn = '[data-drawn], [data-may-be-cut], [data-code], svg, .hidden';
    const inline = (one: Element): boolean => /^(?:inline|contents)$/.test(getComputedStyle(one).display);
    const scrolls = (one: Element): boolean => /auto|scroll/.test(getComputedStyle(one).overflowX);
    const words = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = words.nextNode(); node; node = words.nextNode()) {
      const parent = node.parentElement;
      if (!parent || !node.textContent?.trim() || parent.closest(`${drawn}, script, style, option, noscript`)) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      const text = range.getBoundingClientRect();
      if (text.width === 0) continue;
      let box: Element | null = parent;
      while (box && inline(box)) box = box.parentElement;
      if (!box || scrolls(box)) continue;
      const around = box.getBoundingClientRect();
      if (text.right > around.right + 1.5 || text.left < around.left - 1.5)
        bad.push(
          `“${node.textContent.trim().slice(0, 40)}” is ${Math.round(text.width)} wide in ${Math.round(around.width)}`,
        );
    }
    for (const one of document.querySelectorAll<HTMLElement>(
      'button, a[href], input, select, textarea, [role="tab"], [role="listbox"]',
    )) {
      if (one.closest('.hidden, [hidden], [aria-hidden="true"]') || !one.checkVisibility()) continue;
      const { width, height } = one.getBoundingClientRect();
      if (width < 1 || height < 1) bad.push(`${one.outerHTML.slice(0, 80)} has no size`);
      const hint = one.getAttribute('placeholder');
      if (hint && getComputedStyle(one, '::placeholder').opacity === '0') bad.push(`“${hint}” can't be seen`);
    }
    return [...new Set(bad)];
  });
}
