import type { Command, CommandId } from '@/core/program/program';
import type { LinkEdit } from '@/core/succession/successionEdits';
import { useNotice } from '../shell/Notices';
import type { FateRow } from './fates';
import type { useNewVersion } from './useNewVersion';

/** What a person says of what became of commands, each with a way back. */
export function useFates(
  { said, say }: Pick<ReturnType<typeof useNewVersion>, 'said' | 'say'>,
  named: (id: CommandId) => Command | undefined,
) {
  const tell = useNotice();
  const note = async (row: FateRow, words: string, next: LinkEdit['said']): Promise<void> => {
    const ids = {
      before: row.before.map((one) => one.id),
      after: [...row.after.map((one) => one.id), ...next.flatMap((one) => one.after ?? [])],
    };
    const was = said.filter((one) => ids.before.includes(one.before ?? '') || ids.after.includes(one.after ?? ''));
    if (await say({ ...ids, said: next })) tell(words, { words: 'Undo', run: () => void say({ ...ids, said: was }) });
  };
  return {
    onConfirm: (row: FateRow): void =>
      void note(
        row,
        'Noted: that is so.',
        row.links.map(({ before, after }) => ({ before, after })),
      ),
    onDeny: (row: FateRow): void =>
      void note(row, 'Noted: these are different commands.', [
        ...row.before.map((one) => ({ before: one.id, after: null })),
        ...row.after.map((one) => ({ before: null, after: one.id })),
      ]),
    onBecame: (row: FateRow, after: CommandId): void =>
      void note(row, `Noted: it became ${named(after)?.name}.`, [{ before: row.before[0]?.id ?? '', after }]),
  };
}
