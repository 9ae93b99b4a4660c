import { Problem } from '../../schemas/problem';
import { databaseFile } from '../dataFolder';

const KEPT = 'Nothing was changed, and what was stored before is kept.';

/** What the disk or the driver says, as a sentence for people; null where it is no trouble of the disk or the file. */
export function troubleOf(error: unknown): Problem | null {
  const file = databaseFile();
  switch (codeOf(error)) {
    case 'SQLITE_FULL':
    case 'ENOSPC':
    case 'EDQUOT':
    case 'EFBIG':
      return new Problem(
        'no room',
        `There is no room left on the disk for ${file}. ${KEPT} Make room, then do it again.`,
      );
    case 'SQLITE_IOERR':
      return new Problem(
        'no room',
        `The disk would not take what was to be written to ${file}; it may be full. ${KEPT} Look at the disk, then do it again.`,
      );
    case 'SQLITE_BUSY':
    case 'SQLITE_LOCKED':
      return new Problem('busy', `Another process holds ${file}. ${KEPT} Close what uses that file, then do it again.`);
    case 'SQLITE_READONLY':
    case 'SQLITE_PERM':
    case 'SQLITE_CANTOPEN':
    case 'EACCES':
    case 'EROFS':
      return new Problem('busy', `${file} may not be written. ${KEPT} Make it writable, then do it again.`);
    case 'SQLITE_CORRUPT':
    case 'SQLITE_NOTADB':
      return new Problem(
        'busy',
        `${file} is damaged. Stop Gray Pin and start it again: it says then which copies there are and how to take one.`,
      );
    default:
      return null;
  }
}

/** What a person can be told of any error: a problem as it is, a trouble of the disk or the file; null for all else. */
export const problemOf = (error: unknown): Problem | null => (error instanceof Problem ? error : troubleOf(error));

/** The driver's or the system's code of an error, however deep Sequelize has wrapped it. */
export function codeOf(error: unknown): string {
  const { code, original, parent } = (error ?? {}) as { code?: unknown; original?: unknown; parent?: unknown };
  if (typeof code === 'string') return code;
  return original || parent ? codeOf(original ?? parent) : '';
}
