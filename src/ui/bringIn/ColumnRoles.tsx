import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import type { Choices } from '@/core/reading/choices';
import type { ColumnGroup } from '@/core/reading/groupTables';
import type { Reading } from '@/core/reading/readCommandList';
import { ROLES, type Role } from '@/core/reading/roles';
import { cutText } from '@/core/text/cutText';
import { counted } from '@/core/text/sentence';
import { Pick } from '../kit/Pick';
import styles from './bringIn.module.css';

type Props = {
  readonly reading: Omit<Reading, 'rows'>;
  readonly busy: boolean;
  readonly onSay: (said: Partial<Choices>) => void;
};

const ROLE_WORDS: Readonly<Record<Role, string>> = {
  name: 'Name',
  path: 'Menu or group',
  keys: 'Keys',
  'more keys': 'Further keys',
  'Mac keys': 'Keys on a Mac',
  kind: 'Kind',
  ignore: 'Leave out',
};
const SEVERAL: readonly Role[] = ['path', 'ignore', 'more keys'];

/** What the columns of a list hold, and what a sign that stands alone says, to be chosen. */
export function ColumnRoles({ reading: { groups, signs }, busy, onSay }: Props) {
  const options = useMemo(() => ROLES.map((one) => [one, ROLE_WORDS[one]] as const), []);
  const take = (g: number, c: number, chosen: Role): void =>
    onSay({ roles: groups.map((one, i) => (i === g ? withRole(one.roles, c, chosen) : one.roles)) });
  return (
    <div className={styles.groups}>
      {groups.map((group, g) => (
        <fieldset key={group.header?.join() ?? `group ${g}`} className={`card ${styles.group}`}>
          <legend>
            {groups.length === 1
              ? 'What the columns hold'
              : `What the columns hold in ${counted(group.tables, 'table')}`}
          </legend>
          {group.roles.map((role, c) => (
            <Pick
              key={c}
              label={titleOf(group, c)}
              value={role}
              disabled={busy}
              hint={sampleOf(group, c)}
              options={options}
              onChange={(chosen) => take(g, c, chosen)}
            />
          ))}
          {g === 0 && signs.cells > 0 && (
            <Pick
              label="A sign alone: - or ?"
              value={signs.keys ? 'keys' : 'none'}
              disabled={busy}
              hint={`in ${counted(signs.cells, 'row')}`}
              options={[
                ['none', 'Says that there are no keys'],
                ['keys', 'Is the key itself'],
              ]}
              onChange={(chosen) => onSay({ signs: chosen === 'keys' })}
            />
          )}
          {group.otherKeys.map((c) => (
            <Alert
              key={c}
              severity="info"
              action={
                <Button variant="text" disabled={busy} onClick={() => take(g, c, 'more keys')}>
                  Take them, too
                </Button>
              }
            >
              Keys stand in “{titleOf(group, c)}” as well; they are left out.
            </Alert>
          ))}
        </fieldset>
      ))}
    </div>
  );
}

const titleOf = (group: ColumnGroup, column: number): string => group.header?.[column] || `Column ${column + 1}`;

const sampleOf = (group: ColumnGroup, column: number): string =>
  group.sample
    .map((cells) => cells[column])
    .filter(Boolean)
    .slice(0, 2)
    .map((cell) => cutText(cell ?? '', LONGEST_SAMPLE))
    .join(' · ') || '(empty)';
const LONGEST_SAMPLE = 40;

/** Roles with another for one column; whatever had it before is left out, where only one can have it. */
const withRole = (roles: readonly Role[], column: number, chosen: Role): readonly Role[] =>
  roles.map((old, i) => (i === column ? chosen : old === chosen && !SEVERAL.includes(old) ? 'ignore' : old));
