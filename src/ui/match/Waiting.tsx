'use client';

import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { Progress } from '../kit/Progress';
import type { useMatch } from './useMatch';

export function Waiting({
  matching,
  names,
}: {
  matching: ReturnType<typeof useMatch>;
  names: readonly [string, string];
}) {
  const { state, part } = matching;
  if (state === 'failed' || state === 'cancelled')
    return (
      <Stack className="card" spacing={3} sx={{ p: 5, alignItems: 'flex-start' }}>
        <p role="status">{state === 'failed' ? 'The counterparts could not be found.' : 'Looking was stopped.'}</p>
        <Button variant="outlined" onClick={matching.again}>
          Look again
        </Button>
      </Stack>
    );
  return (
    <Stack className="card" spacing={3} sx={{ p: 5, alignItems: 'flex-start' }}>
      <p role="status">
        Looking for what {names[0]} and {names[1]} both do…
      </p>
      <Progress label="Looking for counterparts" part={part} />
      <Button variant="text" onClick={matching.cancel}>
        Stop
      </Button>
    </Stack>
  );
}
