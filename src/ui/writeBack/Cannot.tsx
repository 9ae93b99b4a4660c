import Box from '@mui/material/Box';
import Link from 'next/link';
import { type Program, pathText } from '@/core/program/program';
import type { WriteBackView } from '@/core/writeBack/writeBackView';
import { Column } from '../kit/Column';
import { KeyCaps } from '../parts/KeyCaps';

type Props = {
  readonly cannot: WriteBackView['commands'];
  readonly program: Program;
  /** The step of the change list that sets a command by hand; 0 for none. */
  readonly stepOf: (id: string) => number;
  readonly steps: string;
  /** Whether all of it is shown, or a few lines below the file. */
  readonly whole: boolean;
};

/** What the file can't hold, why, and how it is done by hand. */
export function Cannot({ cannot, program, stepOf, steps, whole }: Props) {
  return (
    <Box
      component="section"
      className="card"
      aria-label="What can't be written"
      tabIndex={0}
      sx={{
        padding: 'var(--space-3)',
        overflowY: 'auto',
        ...(whole ? { flex: 1 } : { flex: 'none', maxHeight: '28%' }),
      }}
    >
      <h2>Can't be written {cannot.length}</h2>
      <Column component="ul" gap={2} style={{ marginTop: 'var(--space-2)' }}>
        {cannot.map(({ id, why }) => {
          const command = program.commands.find((one) => one.id === id);
          const step = stepOf(id);
          return (
            <li key={id}>
              <strong>{command?.name ?? id}</strong>{' '}
              {command && command.path.length > 0 && <span className="soft">{pathText(command.path)}</span>}{' '}
              {why?.chord && <KeyCaps chord={why.chord} />} {why?.text}{' '}
              {step > 0 && (
                <>
                  Set it by hand: <Link href={steps}>step {step} of the change list</Link>.
                </>
              )}
            </li>
          );
        })}
      </Column>
    </Box>
  );
}
