import type { Page } from '@playwright/test';

/** What can be worked: `at` counts those of one name, as there may be several. */
export type Control = {
  readonly name: string;
  readonly at: number;
  readonly reached: boolean;
  readonly works: boolean;
  readonly kind: string;
};

/**
 * Every control that is to be seen and that works, by what it is called. A group that the arrow keys go through is
 * reached by Tab as one; of the others of it, it is said that they are not `reached`. What is chosen already does nothing
 * more, and a list of the desktop's own is not on the page, so these do not `work`.
 */
export async function controls(page: Page): Promise<readonly Control[]> {
  return page.evaluate(() => {
    const shared = window as unknown as { controlName: (one: HTMLElement) => string };
    shared.controlName = (one) => {
      const role = one.getAttribute('role') ?? one.tagName.toLowerCase();
      const words =
        one.getAttribute('aria-label') ?? (one.textContent || (one as HTMLInputElement).labels?.[0]?.textContent);
      return `${role} ${(words || one.getAttribute('data-code') || one.id || '')
        .replace(/\d+|\u200b/g, '')
        .trim()
        .slice(0, 60)}`;
    };
    const counts = new Map<string, number>();
    const found: { name: string; at: number; reached: boolean; works: boolean; kind: string }[] = [];
    const all = document.querySelectorAll<HTMLElement>(
      'button, a[href], input:not([type=file], [type=range]), select, textarea, summary, [tabindex], [role=option], [role=menuitem]',
    );
    const radios = new Map<string, HTMLInputElement[]>();
    for (const one of document.querySelectorAll<HTMLInputElement>('input[type=radio]'))
      radios.set(one.name, [...(radios.get(one.name) ?? []), one]);
    for (const one of all) {
      delete one.dataset.control;
      if (one.matches(':disabled, [aria-disabled=true]') || one.closest('[inert], [aria-hidden=true], [hidden]'))
        continue;
      if (!one.checkVisibility({ visibilityProperty: true })) continue;
      const name = shared.controlName(one);
      const at = counts.get(name) ?? 0;
      counts.set(name, at + 1);
      one.dataset.control = `${name} ${at}`;
      // What is chosen already stays so, and a box that is merely scrolled answers no tap.
      const chosen = one.matches(
        '[aria-pressed=true], [aria-current]:not([aria-current=false]), [aria-selected=true], [type=radio]:checked',
      );
      const box = !one.matches(
        'button, a[href], input, textarea, summary, [role]:not([role=table], [role=list], [role=region])',
      );
      const group = radios.get((one as HTMLInputElement).name) ?? [];
      const stands = group.some((each) => each.checked) ? (one as HTMLInputElement).checked : group[0] === one;
      found.push({
        name,
        at,
        reached: one.tabIndex >= 0 && (group.includes(one as HTMLInputElement) ? stands : true),
        works: !chosen && !box && one !== document.activeElement,
        kind: name.split(' ').slice(0, 3).join(' '),
      });
    }
    return found;
  });
}

/** What has the focus, and whether it can be seen there: in the window, and nothing else over it. */
export async function focused(page: Page): Promise<{ readonly name: string; readonly hidden: string }> {
  return page.evaluate(async () => {
    const one = document.activeElement as HTMLElement | null;
    if (!one || one === document.body) return { name: '', hidden: '' };
    const name = (window as unknown as { controlName: (one: HTMLElement) => string }).controlName(one);
    // Rows that come into view are measured first, and what is focused is then brought there.
    const inView = (): boolean => {
      const { top, bottom } = one.getBoundingClientRect();
      return bottom > 0 && top < window.innerHeight;
    };
    for (let frame = 0; frame < 12 && !inView(); frame++) await new Promise(requestAnimationFrame);
    const { left, top, right, bottom } = one.getBoundingClientRect();
    const [l, t, r, b] = [
      Math.max(left, 0),
      Math.max(top, 0),
      Math.min(right, window.innerWidth),
      Math.min(bottom, window.innerHeight),
    ];
    if (r - l < 1 || b - t < 1)
      return { name, hidden: `is out of the window at ${Math.round(left)}, ${Math.round(top)}` };
    // Some part of it is over everything else: its middle, or one of its corners.
    const points = [
      [(l + r) / 2, (t + b) / 2],
      [l + 3, t + 3],
      [r - 3, t + 3],
      [l + 3, b - 3],
      [r - 3, b - 3],
    ];
    const over = points.map(([x = 0, y = 0]) => document.elementFromPoint(x, y));
    const seen = over.some(
      (each) => each && (one.contains(each) || each.contains(one) || one.parentElement === each.parentElement),
    );
    return { name, hidden: seen ? '' : `lies under ${over[0]?.outerHTML.slice(0, 60)}` };
  });
}

/** Has Tab begin at the top of the page. */
export async function beginAtTop(page: Page): Promise<void> {
  await page.evaluate(() => {
    const mark = document.createElement('span');
    mark.tabIndex = -1;
    document.body.prepend(mark);
    mark.focus();
    mark.remove();
  });
}
