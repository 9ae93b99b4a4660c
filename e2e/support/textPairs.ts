import type { Page } from '@playwright/test';

/**
 * The pairs of words and ground on a screen, told by the variables they come from, such as `lamp, words, soft, card`:
 * whose variables (a lamp's, or those of a drawn program window), `words` or `large` (3 to 1 is enough for it), what the
 * words are drawn in, and what they stand on, from the top layer down to the first that covers. Each variable is given a
 * color of its own for a moment, so that what is computed for an element says which variable it came from.
 * @returns each pair once, with an element that has it.
 */
export async function textPairs(
  page: Page,
  variables: readonly string[],
): Promise<readonly (readonly [pair: string, element: string])[]> {
  return page.evaluate((names) => {
    type Rgb = readonly [number, number, number];
    const sentinels = names.map((_, i): Rgb => [(i * 37 + 11) % 256, (i * 91 + 5) % 256, (i * 53 + 29) % 256]);
    const roots = [
      document.documentElement,
      ...[...document.querySelectorAll<HTMLElement>('[style]')].filter((one) => one.style.getPropertyValue('--card')),
    ];
    const before = roots.map((one) => one.getAttribute('style'));
    for (const root of roots) {
      names.forEach((name, i) => {
        // A window sets some of them itself and has the rest from the lamp.
        if (root !== document.documentElement && root.style.getPropertyValue(name) === '') return;
        root.style.setProperty(name, `rgb(${sentinels[i]?.join(' ')})`, 'important');
      });
    }
    void document.body.offsetHeight;
    for (const one of document.getAnimations()) one.finish();

    /** A computed color as its parts from 0 to 255 and how far it covers. */
    const parts = (color: string): { rgb: Rgb; alpha: number } => {
      const [r = 0, g = 0, b = 0, alpha = 1] = (color.match(/-?[\d.]+(?:e-?\d+)?/g) ?? []).map(Number);
      const times = color.startsWith('color(') ? 255 : 1;
      return { rgb: [r * times, g * times, b * times], alpha: color === 'transparent' ? 0 : alpha };
    };
    const near = (a: Rgb, b: Rgb): boolean => a.every((one, i) => Math.abs(one - (b[i] ?? 0)) < 0.8);
    const known = new Map<string, readonly string[]>();
    /** The variable a color came from; the two that it is mixed of; else the color itself. */
    const sources = (rgb: Rgb): readonly string[] => {
      const found = names.find((_, i) => near(rgb, sentinels[i] as Rgb));
      if (found) return [found.slice(2)];
      for (let i = 0; i < names.length; i++)
        for (let j = 0; j < i; j++) {
          const [a, b] = [sentinels[i] as Rgb, sentinels[j] as Rgb];
          const widest = a.reduce(
            (most, _, k) => (Math.abs(a[k]! - b[k]!) > Math.abs(a[most]! - b[most]!) ? k : most),
            0,
          );
          const t = (rgb[widest]! - b[widest]!) / (a[widest]! - b[widest]!);
          if (t > 0 && t < 1 && near(rgb, [0, 1, 2].map((k) => b[k]! + t * (a[k]! - b[k]!)) as unknown as Rgb))
            return [names[i]!.slice(2), names[j]!.slice(2)];
        }
      return [`#${rgb.map((one) => Math.round(one).toString(16).padStart(2, '0')).join('')}`];
    };
    const told = (color: string, times = 1): readonly string[] => {
      const id = `${color} ${times}`;
      let words = known.get(id);
      if (!words) {
        const { rgb, alpha } = parts(color);
        const covers = Math.round(alpha * times * 100);
        words = sources(rgb).map((one) => (covers >= 100 ? one : `${one} ${covers}%`));
        known.set(id, words);
      }
      return words;
    };
    /** What an element lays on what is behind it: its color, or the stops one by one of a gradient that fills it. */
    const layersOf = (style: CSSStyleDeclaration): { words: readonly string[]; covers: boolean } | null => {
      const { alpha } = parts(style.backgroundColor);
      const stops =
        style.backgroundImage.includes('gradient') && style.backgroundRepeat === 'repeat'
          ? (style.backgroundImage.match(/(?:rgba?|color)\([^()]+\)/g) ?? []).filter((one) => parts(one).alpha > 0)
          : [];
      const words = [...(alpha > 0 ? told(style.backgroundColor) : []), ...stops.flatMap((one) => told(one))];
      return words.length === 0
        ? null
        : { words, covers: alpha >= 0.995 || stops.some((one) => parts(one).alpha >= 0.995) };
    };
    const groundsOf = (element: Element): { stacks: readonly string[]; opacity: number } => {
      let stacks: readonly (readonly string[])[] = [[]];
      let opacity = 1;
      for (let one: Element | null = element; one; one = one.parentElement) {
        const style = getComputedStyle(one);
        const layers = layersOf(style);
        if (layers) stacks = stacks.flatMap((stack) => layers.words.map((word) => [...stack, word]));
        opacity *= Number(style.opacity);
        if (layers?.covers) return { stacks: stacks.map((stack) => stack.join(' over ')), opacity };
      }
      return { stacks: stacks.map((stack) => [...stack, '#ffffff'].join(' over ')), opacity };
    };

    const pairs = new Map<string, string>();
    const add = (element: Element, style: CSSStyleDeclaration, color: string): void => {
      if (color === 'none' || parts(color).alpha === 0) return;
      const { stacks, opacity } = groundsOf(element);
      const size = Number.parseFloat(style.fontSize);
      const large = size >= 24 || (size >= 18.66 && Number(style.fontWeight) >= 700);
      const scope = roots.slice(1).some((root) => root.contains(element)) ? 'window' : 'lamp';
      for (const words of told(color, opacity))
        for (const ground of stacks)
          pairs.set([scope, large ? 'large' : 'words', words, ground].join('\t'), element.outerHTML.slice(0, 160));
    };
    for (const element of document.body.querySelectorAll('*')) {
      const writes = [...element.childNodes].some((one) => one.nodeType === Node.TEXT_NODE && one.textContent?.trim());
      const field = element instanceof HTMLInputElement || element instanceof HTMLTextAreaElement ? element : null;
      const pseudo = ['::before', '::after'].filter((one) =>
        /^".*[\p{L}\p{N}]/u.test(getComputedStyle(element, one).content),
      );
      if (!writes && !field && pseudo.length === 0) continue;
      if (!element.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue;
      const { width, height } = element.getBoundingClientRect();
      // What is only there to be read out is a point in size; what can't be used need not stand out.
      if (width <= 1 || height <= 1 || element.closest('[aria-disabled="true"], :disabled, .Mui-disabled')) continue;
      const style = getComputedStyle(element);
      if (style.clipPath !== 'none' || (style.clip !== 'auto' && style.position === 'absolute')) continue;
      if (writes) add(element, style, element instanceof SVGElement ? style.fill : style.color);
      if (field && field.type !== 'checkbox' && field.type !== 'radio' && field.type !== 'range') {
        if (field.value !== '') add(field, style, style.color);
        else if (field.placeholder) {
          const placeholder = getComputedStyle(field, '::placeholder');
          add(field, style, placeholder.color);
        }
      }
      for (const one of pseudo) add(element, style, getComputedStyle(element, one).color);
    }
    roots.forEach((root, i) => {
      const was = before[i];
      if (was === null || was === undefined) root.removeAttribute('style');
      else root.setAttribute('style', was);
    });
    return [...pairs];
  }, variables);
}
