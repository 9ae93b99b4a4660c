import type { ProgramFile } from '@/core/file/programFile';
import { fromProgramFile } from '@/core/file/programFile';
import { draftOf } from '@/core/keymap/draft';
import { bindingsOf } from '@/core/keymap/keymap';
import { walkFile } from '@/core/testing/walkProgram';
import { editKeymap } from '@/server/testing/draftSteps';
import { bringIn } from '@/server/useCases/bringIn';
import { loadKeymapView } from '@/server/useCases/screens';

/** Brings the small program in which every verdict can be met in under a name of its own. @returns its address. */
export const bringInWalk = (name: string, rules: object = {}): Promise<string> =>
  bringIn(
    fromProgramFile({
      ...walkFile,
      program: { ...walkFile.program, name, rules: { ...walkFile.program.rules, ...rules } },
    } as ProgramFile),
  );

/** What a keymap of a program holds, a line a command, in the order of their names. */
export async function heldIn(program: string, keymap = 'walk-keys'): Promise<Record<string, string[]>> {
  const held: Record<string, string[]> = {};
  for (const [id, chord] of (await loadKeymapView(program, keymap)).bindings) held[id] = [...(held[id] ?? []), chord];
  return Object.fromEntries(Object.entries(held).sort());
}

/** Gives commands other keys behind the back of whoever has the keymap open. */
export async function giveKeys(program: string, keys: Record<string, string[]>, keymap = 'walk-keys'): Promise<void> {
  const view = await loadKeymapView(program, keymap);
  const now = draftOf(view).keymap;
  const changes = Object.entries(keys).map(([command, after]) => ({
    command,
    before: bindingsOf(now, command),
    after: after.map((chord) => ({ chord })),
  }));
  await editKeymap(view.draft.id, view.draft.revision, { title: 'Elsewhere', changes });
}
