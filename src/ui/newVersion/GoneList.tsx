import Box from '@mui/material/Box';
import type { Command, CommandId } from '@/core/program/program';
import type { SuccessionAnswer } from '@/workers/succeeder';
import { Column } from '../kit/Column';
import { KeysThere } from '../parts/KeysThere';

type Props = {
  readonly gone: SuccessionAnswer['gone'];
  readonly named: (id: CommandId) => Command | undefined;
  readonly version: string;
};

/** Commands that had keys of one's own and are gone. */
export function GoneList({ gone, named, version }: Props) {
  return (
    <Box sx={{ px: 4, py: 3 }}>
      <Column component="ul" gap={3}>
        {gone.map(({ command, mine }) => (
          <li key={command}>
            <strong>{named(command)?.name}</strong> is gone in {version}. Its keys are free again:{' '}
            <KeysThere keys={mine} none="it had none" />
          </li>
        ))}
      </Column>
    </Box>
  );
}
