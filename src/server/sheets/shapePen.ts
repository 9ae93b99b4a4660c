import type { Item } from '../../core/sheet/sheet';
import { INK_COLORS } from '../../core/workspace/appearance';
import { INK_SHAPES } from '../../core/workspace/dressing';

/** What of the PDF library's pages is used here; it has no types for it. */
type Inside = { readonly page: { readonly xobjects: Record<string, object> } };
type Reference = { readonly end: (content: string) => void };

const CORNER = 2;
/** How far the ends of a Bézier curve's handles are from its ends, of a quarter circle's radius. */
const HANDLE = 0.5523;
const [INK, RULE, CAP] = [0x16 / 255, 0xc4 / 255, 0x77 / 255];
const n = (value: number): string => String(Math.round(value * 100) / 100);

/**
 * Draws all of a page that isn't text, in operators of its own (ISO 32000, 8.5): rules of a weight as one path, and each
 * size of key cap as a form that is only placed where it is wanted, since a page has hundreds of them.
 */
export class ShapePen {
  private readonly caps = new Map<string, { readonly name: string; readonly form: object }>();
  constructor(private readonly document: PDFKit.PDFDocument) {}

  draw(items: readonly Item[]): void {
    const { xobjects } = (this.document as unknown as Inside).page;
    const rules = new Map<string, string[]>();
    const out: string[] = ['q'];
    for (const item of items) {
      if (item.kind === 'rule') {
        const look = `${n(item.weight)} w ${n(item.soft ? RULE : INK)} G`;
        const path = `${n(item.x)} ${n(item.y)} m ${n(item.x + item.width)} ${n(item.y)} l`;
        const list = rules.get(look);
        if (list) list.push(path);
        else rules.set(look, [path]);
      } else if (item.kind === 'cap') {
        const { name, form } = this.cap(item.width, item.height, item.strong === true);
        xobjects[name] = form;
        out.push(`q 1 0 0 1 ${n(item.x)} ${n(item.y)} cm /${name} Do Q`);
      } else if (item.kind === 'stroke') {
        const dash = item.dashed ? '[3 3] 0 d' : '[] 0 d';
        out.push(`0.5 w ${n(CAP)} G ${dash} ${n(item.x)} ${n(item.y)} m ${n(item.toX)} ${n(item.toY)} l S [] 0 d`);
      }
    }
    for (const [look, paths] of rules) out.push(look, ...paths, 'S');
    out.push('Q');
    this.document.addContent(out.join('\n'));
    for (const item of items) this.drawSeldom(item);
  }

  /** Marks and dots, of which there are few. */
  private drawSeldom(item: Item): void {
    const { document } = this;
    if (item.kind === 'dot') document.circle(item.x, item.y, item.radius).fill('#161616');
    if (item.kind !== 'mark') return;
    document
      .save()
      .translate(item.x, item.y)
      .scale(item.side / 12)
      .path(INK_SHAPES[item.ink])
      .fillColor(INK_COLORS[item.ink])
      .fill('even-odd')
      .restore();
  }

  /** The form of a cap of some size. */
  private cap(width: number, height: number, strong: boolean): { readonly name: string; readonly form: object } {
    const [w, h] = [Math.round(width * 100) / 100, Math.round(height * 100) / 100];
    const key = `${w} ${h} ${strong}`;
    let one = this.caps.get(key);
    if (!one) {
      const form = this.document.ref({
        Type: 'XObject',
        Subtype: 'Form',
        FormType: 1,
        BBox: [-1, -1, w + 1, h + 1],
        Resources: {},
      }) as unknown as Reference;
      const k = CORNER * (1 - HANDLE);
      form.end(
        [
          `${strong ? `0.9 w ${n(INK)}` : `0.6 w ${n(CAP)}`} G ${CORNER} 0 m ${n(w - CORNER)} 0 l`,
          `${n(w - k)} 0 ${n(w)} ${n(k)} ${n(w)} ${CORNER} c ${n(w)} ${n(h - CORNER)} l`,
          `${n(w)} ${n(h - k)} ${n(w - k)} ${n(h)} ${n(w - CORNER)} ${n(h)} c ${CORNER} ${n(h)} l`,
          `${n(k)} ${n(h)} 0 ${n(h - k)} 0 ${n(h - CORNER)} c 0 ${CORNER} l`,
          `0 ${n(k)} ${n(k)} 0 ${CORNER} 0 c s`,
        ].join('\n'),
      );
      one = { name: `Cap${this.caps.size + 1}`, form };
      this.caps.set(key, one);
    }
    return one;
  }
}
