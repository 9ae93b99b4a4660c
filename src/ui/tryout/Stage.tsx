import { memo } from 'react';
import { meaningsIn } from '@/core/counterpart/meanings';
import type { Program } from '@/core/program/program';
import type { Desk } from '@/core/tryout/desk';
import { SAMPLE_SIZE, samplePicture } from '@/core/tryout/samplePicture';
import styles from './tryout.module.css';

const SHAPES = samplePicture();
const { width, height } = SAMPLE_SIZE;
const GRID = 30;

/** The sample picture as the view stands: nearer, turned, mirrored, with what is switched on laid over it. */
export const Stage = memo(function Stage({ program, desk }: { program: Program; desk: Desk }) {
  const { zoom, turn, mirrored } = desk.view;
  const on = new Set(program.commands.filter((one) => desk.toggles.has(one.id)).flatMap((one) => meaningsIn(one.name)));
  const brush = [...desk.values].find(([what]) => /size/i.test(what))?.[1] ?? 50;
  const held = program.commands.filter((one) => desk.held.includes(one.id));
  return (
    <div className={styles.canvas} data-proof={on.has('proof') || undefined}>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label="Sample picture: a pressed plant on its sheet"
        style={{ transform: `rotate(${turn}deg) scale(${mirrored ? -zoom : zoom}, ${zoom})` }}
      >
        <rect width={width} height={height} fill="#f4f2ea" />
        {SHAPES.map((one) => (
          <path key={one.path} d={one.path} fill={one.fill} />
        ))}
        {on.has('grid') && (
          <path
            d={[
              ...Array.from({ length: Math.floor(width / GRID) }, (_, i) => `M${(i + 1) * GRID},0V${height}`),
              ...Array.from({ length: Math.floor(height / GRID) }, (_, i) => `M0,${(i + 1) * GRID}H${width}`),
            ].join('')}
            stroke="#5a5a5a"
            strokeWidth="0.5"
            fill="none"
          />
        )}
        {on.has('guide') && (
          <path d={`M${width / 2},0V${height}M0,${height / 2}H${width}`} stroke="#0d5c73" fill="none" />
        )}
        <circle
          cx={width * 0.72}
          cy={height * 0.6}
          r={Math.min(90, Math.max(2, brush / 4))}
          fill="none"
          stroke="#222"
        />
      </svg>
      {on.has('ruler') && <span className={styles.ruler} aria-hidden="true" />}
      {held.length > 0 && <p className={styles.held}>While held: {held.map((one) => one.name).join(', ')}</p>}
    </div>
  );
});
