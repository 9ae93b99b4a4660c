import { memo, useId } from 'react';
import type { Program } from '@/core/program/program';
import type { Desk } from '@/core/tryout/desk';
import { shownParts } from '@/core/tryout/layerStack';
import { CUT_CORNER, PAPER, SAMPLE_SIZE, samplePicture } from '@/core/tryout/samplePicture';
import { meaningsIn } from '@/core/words/meanings';
import styles from './stage.module.css';

const SHAPES = samplePicture();
const { width, height } = SAMPLE_SIZE;
const GRID = 30;

/** The sample picture as the view stands: nearer, turned, mirrored, with what is switched on laid over it. */
export const Stage = memo(function Stage({
  program,
  desk,
  masked = false,
  onPoint,
}: {
  program: Program;
  desk: Desk;
  /** Whether what a mask covers is shown in any case. */
  masked?: boolean;
  /** Where the pointer is over the picture, in millimeters, and whether it was pressed there; null where it left. */
  onPoint?: (point: { readonly x: number; readonly y: number } | null, pressed: boolean) => void;
}) {
  const checks = useId();
  const { zoom, turn, mirrored, x, y } = desk.view;
  const on = new Set(
    program.commands
      .filter((one) => desk.toggles.has(one.id) || desk.held.includes(one.id))
      .flatMap((one) => meaningsIn(one.name)),
  );
  const brush = [...desk.values].find(([what]) => /size/i.test(what))?.[1] ?? 50;
  const held = program.commands.filter((one) => desk.held.includes(one.id));
  const parts = shownParts(desk.layers);
  const shapes = desk.layers.layers
    .toReversed()
    .flatMap((layer) => SHAPES.filter((one) => layer.parts.includes(one.part)));
  const point = (event: React.PointerEvent<SVGSVGElement>, pressed: boolean): void => {
    const back = event.currentTarget.getScreenCTM()?.inverse();
    if (back) onPoint?.(new DOMPoint(event.clientX, event.clientY).matrixTransform(back), pressed);
  };
  return (
    <div className={styles.canvas} data-proof={on.has('proof') || undefined}>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label="Sample picture: a pressed plant on its sheet"
        onPointerMove={onPoint && ((event) => point(event, false))}
        onPointerDown={onPoint && ((event) => point(event, true))}
        onPointerLeave={onPoint && (() => onPoint(null, false))}
        style={{ transform: `translate(${x}px, ${y}px) rotate(${turn}deg) scale(${mirrored ? -zoom : zoom}, ${zoom})` }}
      >
        <pattern id={checks} width="16" height="16" patternUnits="userSpaceOnUse">
          <rect width="16" height="16" fill="#ffffff" />
          <path d="M0 0H8V16H16V8H0Z" fill="var(--see-through, #8a8a8a)" opacity="0.45" />
        </pattern>
        {/* The sheet's corner is cut away, so that there is something to see through. */}
        <rect width={width} height={height} fill={`url(#${checks})`} />
        <path d={`M0 0H${width - CUT_CORNER.across}L${width} ${CUT_CORNER.down}V${height}H0Z`} fill={PAPER} />
        {shapes
          .filter((one) => parts.has(one.part))
          .map((one) => (
            <path key={one.path} d={one.path} fill={one.fill} />
          ))}
        {(masked || on.has('mask')) && (
          <path
            data-mask
            d={`M0 0H${width}V${height}H0ZM70 190A120 100 0 1 0 310 190A120 100 0 1 0 70 190Z`}
            fill="var(--mask-tint, #9b2d30)"
            fillRule="evenodd"
            opacity="0.45"
          />
        )}
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
