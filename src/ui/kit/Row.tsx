import type { CSSProperties, ElementType, HTMLAttributes } from 'react';

type Props = HTMLAttributes<HTMLElement> & {
  readonly gap?: 0 | 1 | 2 | 3 | 4 | 5;
  readonly wraps?: boolean;
  readonly align?: CSSProperties['alignItems'];
  /** What is left of the line lies between the parts. */
  readonly apart?: boolean;
  readonly component?: ElementType;
  readonly [data: `data-${string}`]: string | number | boolean | undefined;
};

/** Parts side by side. There are many on a screen, and they are drawn at each press, so they have no styles of their own to work out. */
export function Row(props: Props) {
  const {
    gap = 2,
    wraps = false,
    align,
    apart = false,
    component: Part = 'div',
    className = '',
    style,
    ...rest
  } = props;
  return (
    <Part
      className={`row ${wraps ? 'row-wraps' : ''} ${apart ? 'row-apart' : ''} ${className}`}
      style={{ gap: gap === 0 ? 0 : `var(--space-${gap})`, ...(align ? { alignItems: align } : {}), ...style }}
      {...rest}
    />
  );
}
