import LinearProgress from '@mui/material/LinearProgress';

/** How far something is, from 0 to 1; that it goes on, where nobody knows how far. */
export function Progress({ label, part }: { label: string; part?: number }) {
  return (
    <LinearProgress
      aria-label={label}
      variant={part === undefined ? 'indeterminate' : 'determinate'}
      value={part === undefined ? undefined : Math.round(part * 100)}
      sx={{ width: '100%', maxWidth: '16rem' }}
    />
  );
}
