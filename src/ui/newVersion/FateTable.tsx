import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { type Command, type CommandId, pathText } from '@/core/program/program';
import { Pick } from '../kit/Pick';
import { Row } from '../kit/Row';
import type { FateRow } from './fates';

type Props = {
  readonly rows: readonly FateRow[];
  readonly versions: readonly [before: string, after: string];
  /** The commands that are new, as far as is known. */
  readonly added: readonly Command[];
  readonly onConfirm: (row: FateRow) => void;
  readonly onDeny: (row: FateRow) => void;
  readonly onBecame: (row: FateRow, after: CommandId) => void;
};

/** What became of commands; what is unsure can be confirmed or denied, what is gone be said to have become another. */
export function FateTable({ rows, versions: [then, now], added, onConfirm, onDeny, onBecame }: Props) {
  return (
    <Table stickyHeader>
      <TableHead>
        <TableRow>
          {[`In ${then}`, `In ${now}`, 'What became of it', 'Is it so?'].map((words) => (
            <TableCell key={words}>{words}</TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {rows.map((row) => (
          <TableRow key={row.key}>
            <TableCell component="th" scope="row">
              <Names commands={row.before} none="not there" />
            </TableCell>
            <TableCell>
              <Names commands={row.after} none="not there" />
            </TableCell>
            <TableCell>
              {row.fate}
              {row.unsure && `, likely (${Math.round(100 * Math.min(...row.links.map((one) => one.figure)))} %)`}
              {row.links.some((one) => one.confidence === 'said') && ', as you said'}
            </TableCell>
            <TableCell>
              <Row gap={2} wraps>
                {row.unsure && (
                  <>
                    <Button variant="outlined" size="small" onClick={() => onConfirm(row)}>
                      That is so
                    </Button>
                    <Button variant="text" size="small" onClick={() => onDeny(row)}>
                      It is not
                    </Button>
                  </>
                )}
                {row.fate === 'gone' && added.length > 0 && (
                  <Pick
                    label={`What ${row.before[0]?.name} became`}
                    hidden
                    value=""
                    options={[['', 'became nothing'], ...added.map((one) => [one.id, `became ${one.name}`] as const)]}
                    onChange={(id) => id !== '' && onBecame(row, id)}
                  />
                )}
              </Row>
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}

function Names({ commands, none }: { readonly commands: readonly Command[]; readonly none: string }) {
  if (commands.length === 0) return <span className="soft">{none}</span>;
  return commands.map((one) => (
    <p key={one.id}>
      <strong>{one.name}</strong> <span className="soft small">{pathText(one.path)}</span>
    </p>
  ));
}
