import Stack from '@mui/material/Stack';
import type { ComponentProps, ElementType } from 'react';

type Props = Omit<ComponentProps<typeof Stack>, 'sx'> & {
  readonly gap?: 0 | 1 | 2 | 3 | 4 | 5;
  readonly wraps?: boolean;
  readonly align?: 'center' | 'flex-start' | 'flex-end' | 'baseline' | 'stretch';
  /** What is left of the line lies between the parts. */
  readonly apart?: boolean;
  readonly component?: ElementType;
  readonly sx?: Readonly<Record<string, string | number>>;
};

/** Parts side by side. */
export function Row({ gap = 2, wraps = false, align = 'center', apart = false, sx, ...rest }: Props) {
  return (
    <Stack
      direction="row"
      spacing={gap}
      sx={{
        alignItems: align,
        flexWrap: wraps ? 'wrap' : undefined,
        justifyContent: apart ? 'space-between' : undefined,
        ...sx,
      }}
      {...rest}
    />
  );
}
