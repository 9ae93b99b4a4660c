import { memo } from 'react';
import type { Face } from '@/core/sheet/measure';
import type { Item, Page, SheetLayout } from '@/core/sheet/sheet';
import { INK_COLORS } from '@/core/workspace/appearance';
import { INK_SHAPES } from '@/core/workspace/dressing';

const FAMILIES: Readonly<Record<Face, string>> = {
  words: '"Atkinson Hyperlegible Next"',
  wordsExt: '"Atkinson Hyperlegible Next"',
  bold: '"Atkinson Hyperlegible Next"',
  boldExt: '"Atkinson Hyperlegible Next"',
  keys: '"Atkinson Hyperlegible Mono"',
  keysExt: '"Atkinson Hyperlegible Mono"',
  symbols: '"Gray Pin Symbols"',
  symbolsMath: '"Gray Pin Symbols"',
  symbolsMore: '"Gray Pin Symbols"',
};

/** One page of a sheet, drawn from the same layout as the PDF; lengths in points. */
export const SheetPage = memo(function SheetPage({
  layout,
  page,
  label,
}: {
  layout: SheetLayout;
  page: Page;
  label: string;
}) {
  return (
    <svg
      viewBox={`0 0 ${layout.width} ${layout.height}`}
      role="img"
      aria-label={label}
      xmlns="http://www.w3.org/2000/svg"
      style={{ fontKerning: 'none', fontVariantLigatures: 'none', background: '#fff' }}
    >
      {page.blocks.map((block, b) => (
        <g key={b}>
          {block.items.map((item, i) => (
            <ItemView key={`${b}.${i}`} item={item} />
          ))}
        </g>
      ))}
    </svg>
  );
});

function ItemView({ item }: { item: Item }) {
  switch (item.kind) {
    case 'text':
      return (
        <text
          x={item.x}
          y={item.y}
          fontSize={item.size}
          fontFamily={FAMILIES[item.face]}
          fontWeight={item.face.startsWith('bold') ? 700 : 400}
          fill={item.soft ? '#555' : '#161616'}
          xmlSpace="preserve"
        >
          {item.text}
        </text>
      );
    case 'rule':
      return (
        <rect
          x={item.x}
          y={item.y - item.weight / 2}
          width={item.width}
          height={item.weight}
          fill={item.soft ? '#c4c4c4' : '#161616'}
        />
      );
    case 'cap':
      return (
        <rect
          x={item.x}
          y={item.y}
          width={item.width}
          height={item.height}
          rx={2}
          fill="none"
          stroke="#777"
          strokeWidth={0.6}
        />
      );
    case 'mark':
      return (
        <path
          d={INK_SHAPES[item.ink]}
          transform={`translate(${item.x} ${item.y}) scale(${item.side / 12})`}
          fill={INK_COLORS[item.ink]}
          fillRule="evenodd"
        />
      );
    case 'dot':
      return <circle cx={item.x} cy={item.y} r={item.radius} fill="#161616" />;
  }
}
