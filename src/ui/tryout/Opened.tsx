import Paper from '@mui/material/Paper';
import { X } from 'lucide-react';
import type { Command } from '@/core/program/program';
import { IconAction } from '../kit/IconAction';
import { Row } from '../kit/Row';

/** In the middle of the picture. */
const OVER = {
  position: 'absolute',
  left: '50%',
  top: '30%',
  zIndex: 3,
  width: 'min(22rem, 80%)',
  transform: 'translateX(-50%)',
  px: 4,
  py: 3,
};

type Props = { readonly command: Command; readonly program: string; readonly onClose: () => void };

/**
 * What the program would open now. It stands over the picture and takes nothing away: presses go to the stand-in as all
 * others do, and the next command puts it away.
 */
export function Opened({ command, program, onClose }: Props) {
  return (
    <Paper component="section" elevation={8} sx={OVER} aria-label={command.name}>
      <Row apart>
        <h2>{command.name}</h2>
        <IconAction icon={X} label={`Close ${command.name}`} onClick={onClose} />
      </Row>
      <p>
        {program} would open {command.name} here. Press on: the next command, or Escape, puts it away.
      </p>
    </Paper>
  );
}
