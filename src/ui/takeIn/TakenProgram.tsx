import Card from '@mui/material/Card';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { counted } from '@/core/text/sentence';
import { comes, type TakingLine, type TakingProgram } from '@/core/whole/takingView';
import { Disclosure } from '../kit/Disclosure';
import { Row } from '../kit/Row';
import { Segments } from '../kit/Segments';
import { besidesWords, lineWords, programWords } from './describeTaking';

type Props = {
  readonly program: TakingProgram;
  readonly goOn: (uid: string, goesOn: boolean) => void;
  readonly apart: (uid: string, apart: boolean) => void;
};

/** What becomes of one program of a file: itself, its keymaps and workspaces, and what belongs to them. */
export function TakenProgram({ program, goOn, apart }: Props) {
  const { uid, name, version, lines, besides, further, fate } = program;
  const [coming, staying] = [lines.filter(comes), lines.filter((one) => !comes(one))];
  return (
    <Card component="section" aria-label={name} sx={{ px: 4, py: 3 }}>
      <Row gap={3} wraps align="baseline">
        <h2>{name}</h2>
        <span className="soft">{version}</span>
      </Row>
      <Row gap={4} wraps align="center">
        <p>{programWords(program)}</p>
        {further && (
          <Segments
            label={`What becomes of ${name}`}
            hidden
            value={fate === 'goes on' ? 'on' : 'apart'}
            options={[
              ['on', 'Goes on here'],
              ['apart', 'Stands by itself'],
            ]}
            onChange={(one) => apart(uid, one === 'apart')}
          />
        )}
      </Row>
      {coming.length > 0 && (
        <Table aria-label={`What comes into ${name}`} sx={{ mt: 2 }}>
          <TableHead>
            <TableRow>
              {['In the file', 'Whose', 'What happens'].map((words) => (
                <TableCell key={words}>{words}</TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {coming.map((line) => (
              <Line key={line.uid} line={line} goOn={goOn} />
            ))}
          </TableBody>
        </Table>
      )}
      {besides.length > 0 && (
        <p style={{ marginTop: 'var(--space-2)' }}>Besides: {besides.map(besidesWords).join(', ')}.</p>
      )}
      {staying.length > 0 && (
        <Disclosure title={`${numberOf(staying)} here already`}>
          <ul>
            {staying.map((line) => (
              <li key={line.uid}>
                <strong>{line.name}</strong> <span className="soft">{lineWords(line)}</span>
              </li>
            ))}
          </ul>
        </Disclosure>
      )}
    </Card>
  );
}

/** How many keymaps and workspaces these are. */
function numberOf(lines: readonly TakingLine[]): string {
  const keymaps = lines.filter((one) => one.what === 'keymap').length;
  const all = [[keymaps, 'keymap'] as const, [lines.length - keymaps, 'workspace'] as const];
  return all.flatMap(([n, what]) => (n === 0 ? [] : [counted(n, what)])).join(' and ');
}

function Line({ line, goOn }: { readonly line: TakingLine; readonly goOn: Props['goOn'] }) {
  const { uid, what, name, owner, further, fate } = line;
  return (
    <TableRow>
      <TableCell component="th" scope="row">
        <strong>{name}</strong> <span className="soft small">{what}</span>
      </TableCell>
      <TableCell>{owner === '' ? <span className="soft">nobody’s</span> : owner}</TableCell>
      <TableCell>
        <p>{lineWords(line)}</p>
        {further && what === 'keymap' && (
          <Segments
            label={`What becomes of ${name}`}
            hidden
            value={fate === 'goes on' ? 'on' : 'both'}
            options={[
              ['both', 'Keep both'],
              ['on', 'Go on here as there'],
            ]}
            onChange={(one) => goOn(uid, one === 'on')}
          />
        )}
      </TableCell>
    </TableRow>
  );
}
