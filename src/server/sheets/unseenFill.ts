import type { Block } from '../../core/sheet/sheet';
import type { Placed, TextPen } from './plainText';

/** A row of glyphs that nobody sees and that read as nothing, from x over a width, with the baseline at y. */
export type Fill = (x: number, y: number, width: number, size: number) => Placed;

const GLYPH = '←';
const ZERO_WIDTH_SPACE = 0x200b;

/**
 * The unseen fill of a document. Text taken out of a PDF by place alone (as pdftotext does) goes across columns whose
 * rows are level, since it takes them for a table; rows of unseen text between the lines make one block of a column.
 */
export function unseenFill(pen: TextPen): Fill {
  const font = pen.font('fill');
  const [[code], [position]] = font.encode(GLYPH);
  font.unicode[Number.parseInt(code ?? '0', 16)] = [ZERO_WIDTH_SPACE];
  const advance = (position?.advanceWidth ?? 1000) / 1000;
  return (x, y, width, size) => {
    const glyphs = Math.max(1, Math.floor(width / (advance * size)));
    return { face: 'fill', size, x, y, text: GLYPH.repeat(glyphs), gray: 0 };
  };
}

/** Ties a line or heading to what stands below and above it in its column: no two baselines there are further than 1.4 em. */
export function tieColumn(block: Block, size: number, fill: Fill): Placed[] {
  const rule = block.items.find((item) => item.kind === 'rule');
  if (rule?.kind !== 'rule') return [];
  // Below a heading the fill spans the column, which gives the block its width; below a line one glyph is enough.
  const fills = [fill(rule.x, rule.y + 0.35 * size, block.role === 'heading' ? rule.width : size, size)];
  if (block.role === 'heading') fills.unshift(fill(rule.x, rule.y - 1.85 * size, size, size));
  // A hyphen at the end of a line is dropped as hyphenation, so the hyphen key is not left there.
  const last = block.items.findLast((item) => item.kind === 'text');
  if (last?.kind === 'text' && last.text.endsWith('-'))
    fills.push(fill(last.x + last.width + last.size * 0.1, last.y, last.size, last.size));
  return fills;
}
