import { createElement, memo } from 'react';
import type { IconShapes } from '@/core/workspace/roomView';

/** An icon of the open set, in the color of the words around it. */
export const IconView = memo(function IconView({ shapes, size = '1.15em' }: { shapes: IconShapes; size?: string }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.8"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      {shapes.map(([tag, attributes], i) => createElement(tag, { key: i, ...attributes }))}
    </svg>
  );
});
