import type { ProgramFile } from '@/core/file/programFile';
import { fromProgramFile } from '@/core/file/programFile';
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
  const { draft } = await loadKeymapView(program, keymap);
  const held = await heldIn(program, keymap);
  const chords = (some: readonly string[] = []) => some.map((chord) => ({ chord }));
  const changes = Object.entries(keys).map(([command, after]) => ({
    command,
    before: chords(held[command]),
    after: chords(after),
  }));
  await editKeymap(draft.id, draft.revision, { title: 'Elsewhere', changes });
}
