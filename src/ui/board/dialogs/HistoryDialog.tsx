'use client';

import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import type { History } from '@/core/keymap/keymapView';
import type { Change } from '@/core/keymap/ticket';
import { counted } from '@/core/text/sentence';
import { ChangeLine } from '../../draft/ChangeLine';
import { Disclosure } from '../../kit/Disclosure';
import { Progress } from '../../kit/Progress';
import { Row } from '../../kit/Row';
import { ScreenDialog } from '../../parts/ScreenDialog';
import { ask, messageOf } from '../../shell/api';
import type { DialogProps } from './dialogProps';
import { LeftAsideList } from './LeftAsideList';

/** The kept versions of a keymap, what each changed, and going back to one; before them, what was left aside. */
export function HistoryDialog({ index, draft, actions, onClose, onTicket }: DialogProps) {
  const [history, setHistory] = useState<History | null>(null);
  const [problem, setProblem] = useState('');
  const { id, revision } = draft.state;
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new revision makes what leads back to a version anew.
  useEffect(() => {
    // What is shown is ahead of what is stored.
    const read = async () => {
      await actions.settled();
      return ask<History>('GET', `/api/keymaps/${id}/history`);
    };
    read().then(setHistory, (error: unknown) => setProblem(messageOf(error)));
  }, [id, revision]);
  const nameOf = (command: string) => index.facts.commands.get(command)?.name ?? command;
  return (
    <ScreenDialog wide title={`Kept versions of ${draft.state.name}`} onClose={onClose}>
      {problem && <Alert severity="error">{problem}</Alert>}
      {history === null && !problem && <Progress label="Looking for what was kept" />}
      <LeftAsideList {...{ index, draft, onTicket }} asides={history?.leftAside ?? []} />
      <ol className="ruled">
        {history?.versions.map((version) => (
          <li key={version.number}>
            <Row gap={3} wraps>
              <strong>Version {version.number}</strong>
              <span className="soft">
                {new Date(version.keptAt).toLocaleString('en-US', { dateStyle: 'long', timeStyle: 'short' })} ·{' '}
                {counted(version.bindings, 'key')}
              </span>
              <span className="push" />
              {version.toHere.length === 0 ? (
                <span className="soft">as it is now</span>
              ) : (
                <Button
                  variant="outlined"
                  disabled={draft.state.factory || draft.state.locked}
                  onClick={() => void onTicket({ title: `Back to version ${version.number}`, changes: version.toHere })}
                >
                  Go back to version {version.number}
                </Button>
              )}
            </Row>
            <Changes changes={version.changes} nameOf={nameOf} first={version.number === 1} />
          </li>
        ))}
      </ol>
    </ScreenDialog>
  );
}

function Changes({
  changes,
  nameOf,
  first,
}: {
  changes: readonly Change[];
  nameOf: (command: string) => string;
  first: boolean;
}) {
  if (changes.length === 0) return <p className="soft">{first ? 'How it began.' : 'Kept without changes.'}</p>;
  return (
    <Disclosure title={counted(changes.length, 'change')}>
      <ul>
        {changes.slice(0, 200).map((change) => (
          <ChangeLine key={change.command} name={nameOf(change.command)} change={change} />
        ))}
      </ul>
    </Disclosure>
  );
}
