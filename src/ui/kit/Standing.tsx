import Chip from '@mui/material/Chip';
import type { ReactNode } from 'react';

/** How something stands, in a word or two beside its name. */
export function Standing({ role, children }: { role?: 'status'; children: ReactNode }) {
  return <Chip component="span" role={role} size="small" color="primary" label={children} sx={{ mx: 1 }} />;
}
