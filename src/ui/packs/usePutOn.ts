import type { Remote } from 'comlink';
import { useMemo, useState } from 'react';
import type { Draft } from '@/core/keymap/draft';
import { rowsOf } from '@/core/keymap/keymap';
import type { Pack } from '@/core/pack/pack';
import type { CommandId, Program } from '@/core/program/program';
import type { Choice } from '@/core/transfer/transferTypes';
import type { PackAnswer, Packer, PackGround, PackTask } from '@/workers/packer';
import { useWorkerTask } from '../parts/useWorkerTask';
import { useSettings } from '../shell/SettingsContext';

const start = (): Worker => new Worker(new URL('../../workers/packer.ts', import.meta.url), { type: 'module' });
const send = (remote: Remote<Packer>, task: PackTask): Promise<PackAnswer> => remote.putOn(task);

/** What putting a pack on does, worked out anew whenever something is said or chosen. */
export function usePutOn(pack: Pack, program: Program, draft: Draft, uses: Readonly<Record<CommandId, number>>) {
  const { where, settings } = useSettings();
  const [said, setSaid] = useState<PackTask['said']>([]);
  const [choices, setChoices] = useState<PackTask['choices']>([]);
  const { keyboard, desktop } = where;
  const { factory, keymap } = draft;
  const ground = useMemo(
    (): PackGround => ({
      program,
      factory: rowsOf(factory),
      uses,
      choice: keyboard.choice,
      desktop,
      hand: settings.hand,
    }),
    [program, factory, uses, keyboard, desktop, settings.hand],
  );
  const task = useMemo(
    (): PackTask => ({
      ...{ pack, said, choices },
      mine: { rows: rowsOf(keymap), spares: [...keymap.spares] },
    }),
    [pack, said, choices, keymap],
  );
  const working = useWorkerTask<Packer, PackGround, PackTask, PackAnswer>(start, ground, task, send);
  return {
    working,
    /** Whether what is shown is of what was chosen last. */
    current: working.made?.task === task,
    say: (line: CommandId, command: CommandId | null): void =>
      setSaid((before) => [...before.filter(([one]) => one !== line), [line, command]]),
    choose: (command: CommandId, kind: Choice['kind'] & ('take' | 'keep')): void =>
      setChoices((before) => [...before.filter(([one]) => one !== command), [command, { kind }]]),
  };
}
