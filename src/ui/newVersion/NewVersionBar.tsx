import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { DraftState } from '@/core/keymap/keymapView';
import type { NewVersionView } from '@/core/succession/newVersionView';
import type { SuccessionAnswer } from '@/workers/succeeder';
import { ActionsMenu } from '../parts/ActionsMenu';
import { ask, messageOf } from '../shell/api';
import { useNotice } from '../shell/Notices';

type Props = {
  readonly view: NewVersionView;
  /** How many commands are to be checked. */
  readonly unsure: number;
  /** What becomes of the keymap by all that was chosen; null until that is known. */
  readonly answer: SuccessionAnswer | null;
  readonly settled: () => Promise<void>;
  readonly onCheck: () => void;
};

/** Which versions, whose keymap, and what can be done with it. */
export function NewVersionBar({ view: { before, after, keymaps }, unsure, answer, settled, onCheck }: Props) {
  const router = useRouter();
  const tell = useNotice();
  const [moving, setMoving] = useState(false);
  // What was sent and not answered is not done once more when it is sent again.
  const key = useMemo(() => (answer ? crypto.randomUUID() : undefined), [answer]);
  const [then, now] = [before.program.version, after.program.version];
  const here = keymaps.find((one) => one.slug === before.draft.slug);
  const name = here?.name ?? before.draft.name;
  const move = async ({ ticket, links }: SuccessionAnswer): Promise<void> => {
    setMoving(true);
    try {
      // What is on its way is to count.
      await settled();
      const wish = { to: after.programSlug, ticket, links: links.map((one) => [one.before, one.after]) };
      const address = `/api/keymaps/${before.draft.id}/move`;
      const made = await ask<DraftState>('POST', address, wish, false, undefined, key === undefined ? {} : { key });
      tell(`${made.name} stands in ${now}. In ${then} it is as it was.`);
      router.push(`/board/${after.programSlug}/${made.slug}`);
    } catch (error) {
      tell(messageOf(error));
      setMoving(false);
    }
  };
  return (
    <header className="bar">
      <h1>
        {before.program.name} {then} → {now}
      </h1>
      <span className="soft">what becomes of</span>
      <ActionsMenu
        label={`What becomes of ${name}`}
        words={name}
        actions={keymaps.map((one) => [
          `${one.name}${one.owner ? ` · ${one.owner}` : ''}${one.moved ? ' · moved' : ''}`,
          `/shelf/version/${after.programSlug}?keymap=${one.slug}`,
        ])}
      />
      <span className="push" />
      {unsure > 0 && (
        <Button variant="text" onClick={onCheck}>
          Check the commands {unsure}
        </Button>
      )}
      {here?.moved ? (
        <Button variant="outlined" component={Link} href={`/board/${after.programSlug}/${here.moved}`}>
          Open it in {now}
        </Button>
      ) : (
        <Button variant="outlined" component={Link} href={`/shelf/${after.programSlug}`}>
          Keep {then} as it is
        </Button>
      )}
      <Button variant="contained" disabled={!answer || moving} onClick={() => answer && void move(answer)}>
        {here?.moved ? 'Move it again' : `Move to ${now}`}
      </Button>
    </header>
  );
}
