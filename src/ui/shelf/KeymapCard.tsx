import Button from '@mui/material/Button';
import Link from 'next/link';
import type { KeymapSummary } from '@/core/keymap/keymapView';
import { counted } from '@/core/text/sentence';
import type { ProgramSummary } from '@/core/view/shelf';
import { Column } from '../kit/Column';
import { Standing } from '../kit/Standing';
import { ActionsMenu } from '../parts/ActionsMenu';
import { KeyStrip } from './KeyStrip';
import styles from './shelf.module.css';

type CardProps = {
  readonly program: ProgramSummary;
  readonly keymap: KeymapSummary;
  readonly onDuplicate: () => void;
  readonly onRename: () => void;
  readonly onPutAway: () => void;
};
/** One keymap: its strip of keys, whose it is, how it stands. */
export function KeymapCard({ program, keymap, onDuplicate, onRename, onPutAway }: CardProps) {
  const address = `${program.slug}/${keymap.slug}`;
  return (
    <li className={`card ${styles.keymap}`}>
      <KeyStrip pins={keymap.pins} />
      <div className={styles.about}>
        <h3>
          <Link href={`/board/${address}`} prefetch={false} className={styles.title}>
            {keymap.name}
          </Link>
        </h3>
        <p className="soft">
          {keymap.factory ? 'As the program came. Never changes.' : keymap.owner || 'Nobody’s in particular'}
        </p>
        <p>
          {keymap.factory ? (
            counted(keymap.bindings, 'key')
          ) : (
            <>
              <strong>{keymap.yours}</strong> yours of {counted(keymap.bindings, 'key')}
            </>
          )}
          {keymap.locked && <Standing>locked</Standing>}
          {keymap.unnamed ? (
            <Standing>not kept yet</Standing>
          ) : (
            keymap.draftChanges > 0 && <Standing>draft · {counted(keymap.draftChanges, 'command')} changed</Standing>
          )}
        </p>
        <p className="soft">{usedWords(keymap.lastUsed)}</p>
      </div>
      <Column gap={1} align="flex-end">
        <Button variant="outlined" component={Link} href={`/board/${address}`} prefetch={false}>
          Open
        </Button>
        <ActionsMenu
          label={`More for ${keymap.name} of ${program.label}`}
          actions={[
            ['Print a sheet', `/sheets/${address}`],
            [`Save for ${program.label}…`, `/sheets/${address}/write`],
            ['Packs…', `/shelf/packs/${address}`],
            ['Compare…', `/shelf/compare/${program.slug}?left=${keymap.slug}`],
            [keymap.factory ? 'Start a keymap of your own…' : 'Duplicate…', onDuplicate],
            ...(keymap.factory
              ? []
              : ([
                  ['Rename…', onRename],
                  ['Put away', onPutAway],
                ] as const)),
          ]}
        />
      </Column>
    </li>
  );
}
function usedWords(at: string | null): string {
  if (at === null) return 'Not opened yet';
  return `Opened ${new Date(at).toLocaleDateString('en-US', { day: 'numeric', month: 'long', timeZone: 'UTC' })}`;
}
