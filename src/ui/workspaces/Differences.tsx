import Box from '@mui/material/Box';
import type { Difference } from '@/core/workspace/compareWorkspaces';
import { PART_WORDS } from '@/core/workspace/room';

/** What differs between two workspaces, part by part. */
export function Differences({ differences }: { differences: readonly Difference[] }) {
  return (
    <Box component="ul" sx={{ my: 1, pl: 4, listStyle: 'disc' }}>
      {differences.map(({ part, words }) => (
        <li key={part}>
          <strong>{PART_WORDS[part]}</strong>: {words.join('; ')}
        </li>
      ))}
    </Box>
  );
}
