import { INK_SHAPES, INK_WORDS, type Ink } from '@/core/workspace/dressing';

/** A mark in an ink: its shape and color, and its name for those who listen. */
export function InkMark({ ink, size = 12, silent = false }: { ink: Ink; size?: number; silent?: boolean }) {
  return (
    <>
      <svg className="pin" width={size} height={size} viewBox="0 0 12 12" aria-hidden="true" data-ink={ink}>
        <path d={INK_SHAPES[ink]} fill={`var(--ink-${ink})`} fillRule="evenodd" />
      </svg>
      {!silent && <span className="hidden">{INK_WORDS[ink].name} mark</span>}
    </>
  );
}
