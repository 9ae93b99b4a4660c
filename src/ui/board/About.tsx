'use client';

import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { StickyNote, X } from 'lucide-react';
import { memo, useState } from 'react';
import type { Binding } from '@/core/keymap/keymap';
import { type Command, EVERYWHERE, pathText } from '@/core/program/program';
import { describeReach } from '@/core/reach/describeReach';
import { IconAction } from '../kit/IconAction';
import { Row } from '../kit/Row';
import { Tick } from '../kit/Tick';
import { ActionsMenu } from '../parts/ActionsMenu';
import { KeyCaps } from '../parts/KeyCaps';
import { Pin } from '../parts/Pin';
import { spoken } from '../parts/spoken';
import type { BenchProps } from './benchProps';
import styles from './board.module.css';
import { HookField } from './HookField';

type AboutProps = Pick<
  BenchProps,
  | 'contextName'
  | 'bindings'
  | 'factory'
  | 'spare'
  | 'isFixed'
  | 'ownKeys'
  | 'neighbors'
  | 'actions'
  | 'keepOwn'
  | 'onKeepOwn'
  | 'onGoTo'
  | 'onMark'
  | 'onRemove'
> & {
  readonly command: Command;
  /** Whether keys stand to be taken, so that those it has may stay besides. */
  readonly mayKeep: boolean;
};

/** What the command is and has; a press changes nothing of it. */
export const About = memo(function About(props: AboutProps) {
  const { command, contextName, bindings, factory, spare, actions, neighbors, mayKeep, ...rest } = props;
  const movedAway = factory.length > 0 && !factory.every((one) => bindings.some((b) => b.chord === one.chord));
  return (
    <div className={styles.about}>
      <Row apart align="flex-start">
        <h2>{command.name}</h2>
        <ActionsMenu label={`More for ${command.name}`} actions={actions} />
      </Row>
      <p className="soft">
        {pathText(command.path) || 'In no menu'}
        {spare && (
          <span className={styles.spare}>
            <Pin state="spare" /> spare
          </span>
        )}
      </p>
      <p>{bindings.length > 0 ? 'Now on' : 'Has no key now.'}</p>
      <ul className={styles.own}>
        {bindings.map((binding) => (
          <OwnKeys
            key={`${command.id} ${binding.chord}`}
            binding={binding}
            factoryKey={factory.some((one) => one.chord === binding.chord)}
            {...rest}
          />
        ))}
      </ul>
      {rest.ownKeys && <p>{describeReach(rest.ownKeys.reach)}</p>}
      {mayKeep && bindings.length > 0 && (
        <Tick checked={rest.keepOwn} onChange={rest.onKeepOwn}>
          {bindings.length === 1 ? 'Keeps these as well' : 'Keeps all of these as well'}
        </Tick>
      )}
      <p className="soft">
        {kindSentence(command, contextName)}
        {movedAway && (
          <>
            {' '}
            Factory:{' '}
            {factory.map(({ chord }) => (
              <KeyCaps key={chord} chord={chord} />
            ))}
          </>
        )}
      </p>
      {(neighbors.before || neighbors.after) && (
        <Row wraps gap={3} component="p">
          {neighbors.before && (
            <Button variant="inline" onClick={() => neighbors.before && rest.onGoTo(neighbors.before)}>
              <span aria-hidden="true">‹ </span>
              <span className="hidden">Before it: </span>
              {neighbors.before.name}
            </Button>
          )}
          {neighbors.after && (
            <Button variant="inline" onClick={() => neighbors.after && rest.onGoTo(neighbors.after)}>
              <span className="hidden">After it: </span>
              {neighbors.after.name}
              <span aria-hidden="true"> ›</span>
            </Button>
          )}
        </Row>
      )}
    </div>
  );
});

/** One of the command's own keys: whether it is a keeper, its memory hook, and taking it away. */
function OwnKeys({
  binding: { chord, keeper, hook },
  factoryKey,
  isFixed,
  onMark,
  onRemove,
}: Pick<BenchProps, 'isFixed' | 'onMark' | 'onRemove'> & { binding: Binding; factoryKey: boolean }) {
  const [noting, setNoting] = useState(false);
  if (isFixed(chord)) {
    return (
      <li>
        <KeyCaps chord={chord} /> <span className="soft">fixed</span>
      </li>
    );
  }
  return (
    <li>
      <KeyCaps chord={chord} />
      <IconButton
        aria-pressed={keeper ?? false}
        aria-label={`Keeper: ${spoken(chord)}`}
        data-tip={keeper ? 'A keeper: taking these keys asks twice' : 'Make these keys a keeper'}
        onClick={() => onMark(chord, { keeper: !keeper })}
      >
        <Pin state={keeper ? 'keeper' : factoryKey ? 'factory' : 'yours'} size={13} />
      </IconButton>
      <IconAction
        icon={StickyNote}
        label={`Memory hook for ${spoken(chord)}`}
        tip="Note what these keys remind of"
        onClick={() => setNoting(!noting)}
      />
      <IconAction icon={X} label={`Remove ${spoken(chord)}`} tip="Remove these keys" onClick={() => onRemove(chord)} />
      {noting ? (
        <HookField
          label={`Memory hook for ${spoken(chord)}`}
          hook={hook ?? ''}
          onDone={(note) => {
            setNoting(false);
            if (note !== null) onMark(chord, { hook: note });
          }}
        />
      ) : (
        hook !== undefined && <em className="soft">{hook}</em>
      )}
    </li>
  );
}

const KIND_WORDS: Readonly<Record<Command['kind'], string>> = {
  'menu item': 'A menu item',
  tool: 'A tool',
  panel: 'Shows or hides a panel',
  value: 'Sets a value',
  script: 'A script',
  'held action': 'Acts only while held',
};

function kindSentence(command: Command, context: string): string {
  // Most are listened for everywhere, so that goes without saying.
  return `${KIND_WORDS[command.kind]}${context === EVERYWHERE.name ? '' : `, listened for ${context}`}.`;
}
