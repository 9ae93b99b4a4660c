import { memo } from 'react';
import type { Command, Program } from '@/core/program/program';
import { spoken } from '../parts/spoken';
import styles from './tryout.module.css';
import type { KeysOf } from './useKeysOf';

type Props = {
  readonly program: Program;
  readonly tool: string | null;
  readonly keysOf: KeysOf;
  readonly onCall: (command: Command) => void;
};

/** The tools of the stand-in program; each tells its name and keys when pointed at. */
export const ToolRail = memo(function ToolRail({ program, tool, keysOf, onCall }: Props) {
  const tools = program.commands.filter((one) => one.kind === 'tool');
  return (
    <div role="toolbar" aria-label="Tools" aria-orientation="vertical" className={styles.tools}>
      {tools.map((one) => {
        const keys = keysOf(one.id).map(spoken).join(' or ');
        return (
          <button
            key={one.id}
            type="button"
            aria-pressed={one.id === tool}
            aria-label={keys ? `${one.name}, ${keys}` : one.name}
            title={keys ? `${one.name} (${keys})` : `${one.name} (no key)`}
            data-tool={one.id}
            onClick={() => onCall(one)}
          >
            {initials(one.name)}
          </button>
        );
      })}
    </div>
  );
});

function initials(name: string): string {
  const words = name.split(' ');
  return (words.length > 1 ? words.map((one) => one[0]).join('') : name.slice(0, 2)).slice(0, 2);
}
