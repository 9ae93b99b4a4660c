import type { Item } from '../../core/sheet/sheet';
import { SIGN_SHAPES } from '../../core/sheet/signs';
import { INK_COLORS } from '../../core/workspace/appearance';
import { INK_SHAPES } from '../../core/workspace/dressing';
import { addContent, hundredths } from './pageContent';

/** What of the PDF library's pages is used here; it has no types for it. */
type Inside = { readonly page: { readonly xobjects: Record<string, object> } };
type Reference = { readonly end: (content: string) => void };

/** The radius of a cap's corners, in hundredths of a point. */
const CORNER = 200;
/** How far the ends of a Bézier curve's handles are from its ends, of a quarter circle's radius. */
const HANDLE = 0.5523;
const [INK, RULE, CAP] = [0x16 / 255, 0xc4 / 255, 0x77 / 255];
const n = (value: number): string => String(Math.round(value * 100) / 100);
/**
 * Draws all of a page that isn't text, in operators of its own (ISO 32000, 8.5): rules of a weight as one path, and each
 * size of key cap as a form that is only placed where it is wanted, since a page has hundreds of them.
 */
export class ShapePen {
  private readonly caps = new Map<number, { readonly name: string; readonly form: object }>();
  constructor(private readonly document: PDFKit.PDFDocument) {}

  /** Draws the items of a page. */
  draw(blocks: readonly { readonly items: readonly Item[] }[]): void {
    const { xobjects } = (this.document as unknown as Inside).page;
    const rules = new Map<string, string>();
    const seldom: Item[] = [];
    let out = 'q .01 0 0 .01 0 0 cm\n';
    for (const { items } of blocks)
      for (const item of items) {
        if (item.kind === 'text') continue;
        const [x, y] = [hundredths(item.x), hundredths(item.y)];
        if (item.kind === 'rule') {
          const look = `${hundredths(item.weight)} w ${n(item.soft ? RULE : INK)} G`;
          rules.set(look, `${rules.get(look) ?? ''}${x} ${y} m ${hundredths(item.x + item.width)} ${y} l\n`);
        } else if (item.kind === 'cap') {
          const { name, form } = this.cap(hundredths(item.width), hundredths(item.height), item.strong === true);
          xobjects[name] = form;
          out += `q 1 0 0 1 ${x} ${y} cm /${name} Do Q\n`;
        } else if (item.kind === 'stroke') {
          const dash = item.dashed ? '[300 300] 0 d' : '[] 0 d';
          out += `50 w ${n(CAP)} G ${dash} ${x} ${y} m ${hundredths(item.toX)} ${hundredths(item.toY)} l S [] 0 d\n`;
        } else seldom.push(item);
      }
    for (const [look, paths] of rules) out += `${look}\n${paths}S\n`;
    addContent(this.document, `${out}Q`);
    for (const item of seldom) this.drawSeldom(item);
  }

  /** Marks, signs and dots, of which there are few. */
  private drawSeldom(item: Item): void {
    const { document } = this;
    if (item.kind === 'dot') document.circle(item.x, item.y, item.radius).fill('#161616');
    if (item.kind !== 'mark' && item.kind !== 'sign') return;
    document
      .save()
      .translate(item.x, item.y)
      .scale(item.side / 12)
      .path(item.kind === 'sign' ? SIGN_SHAPES[item.sign] : INK_SHAPES[item.ink])
      .fillColor(item.kind === 'sign' ? '#161616' : INK_COLORS[item.ink])
      .fill('even-odd')
      .restore();
  }

  /** The form of a cap of some size, in hundredths of a point. */
  private cap(w: number, h: number, strong: boolean): { readonly name: string; readonly form: object } {
    const key = (w * 2 ** 20 + h) * 2 + (strong ? 1 : 0);
    let one = this.caps.get(key);
    if (!one) {
      const form = this.document.ref({
        Type: 'XObject',
        Subtype: 'Form',
        FormType: 1,
        BBox: [-100, -100, w + 100, h + 100],
        Resources: {},
      }) as unknown as Reference;
      const k = Math.round(CORNER * (1 - HANDLE));
      form.end(
        [
          `${strong ? `90 w ${n(INK)}` : `60 w ${n(CAP)}`} G ${CORNER} 0 m ${w - CORNER} 0 l`,
          `${w - k} 0 ${w} ${k} ${w} ${CORNER} c ${w} ${h - CORNER} l`,
          `${w} ${h - k} ${w - k} ${h} ${w - CORNER} ${h} c ${CORNER} ${h} l`,
          `${k} ${h} 0 ${h - k} 0 ${h - CORNER} c 0 ${CORNER} l`,
          `0 ${k} ${k} 0 ${CORNER} 0 c s`,
        ].join('\n'),
      );
      one = { name: `Cap${this.caps.size + 1}`, form };
      this.caps.set(key, one);
    }
    return one;
  }
}
