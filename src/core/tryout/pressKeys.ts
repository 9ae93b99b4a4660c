import type { ChordText } from '../chord/chord';
import type { ClashIndex, Holder } from '../clash/clashIndex';
import { DESKTOP_KEYS } from '../desktop/desktopKeys';
import type { Where } from '../keyboard/where';
import { formOf } from '../program/formOf';
import type { Command, CommandId, ContextId } from '../program/program';

/** Where keys are pressed in the stand-in program. */
export type Listening = {
  /** The context that has the focus; those around it hear as well. */
  readonly focus: ContextId;
  /** Whether letters are typed there. */
  readonly types: boolean;
  /** The tool in hand, from which turns go on. */
  readonly tool: CommandId | null;
  /** The first stroke of a sequence that was begun; null for none. */
  readonly begun: ChordText | null;
};

/** What a press does, or why it does nothing. */
export type Outcome =
  | {
      readonly kind: 'fired';
      readonly command: Command;
      /** The keys as they are bound, and where they were heard. */
      readonly chord: ChordText;
      readonly context: ContextId;
      /** Those the command takes turns with on these keys. */
      readonly turns: readonly Command[];
      /** Those who would have heard them in a wider context. */
      readonly shadowed: readonly Command[];
    }
  | { readonly kind: 'begun'; readonly chord: ChordText; readonly ends: readonly Holder[] }
  | { readonly kind: 'typed'; readonly chord: ChordText }
  | {
      readonly kind: 'taken by the desktop';
      readonly chord: ChordText;
      readonly does: string;
      readonly from: Command | null;
    }
  | { readonly kind: 'kept by the program'; readonly chord: ChordText; readonly why: string }
  | { readonly kind: 'clash'; readonly chord: ChordText; readonly commands: readonly Command[] }
  | { readonly kind: 'not here'; readonly chord: ChordText; readonly holders: readonly Holder[] }
  | { readonly kind: 'nobody'; readonly chord: ChordText };

/**
 * What happens when keys are pressed: the narrowest context that has a command on them answers; commands that take turns
 * go on from the tool in hand; two that clash answer neither, since nobody knows which would.
 * @param chord as pressed; after the first stroke of a sequence, the second alone. `hold:` for keys that are held.
 */
export function pressKeys(index: ClashIndex, where: Where, listening: Listening, chord: ChordText): Outcome {
  const { facts } = index;
  const whole = listening.begun === null ? chord : `${listening.begun} ${chord}`;
  const at = where.place(whole);
  const holders = index.holders.get(at) ?? NOBODY;
  const heard = holders.filter((one) => isHeard(index, listening.focus, one.command.context));
  const does = listening.begun === null ? DESKTOP_KEYS[where.desktop].get(at) : undefined;
  if (does !== undefined) return { kind: 'taken by the desktop', chord: whole, does, from: heard[0]?.command ?? null };
  // A letter goes into the text, unless the place for typing has a command on it itself.
  const own = heard.some((one) => one.command.context === listening.focus);
  if (listening.types && formOf(whole) === 'bare' && !own) return { kind: 'typed', chord: whole };
  if (heard.length > 0) return answerOf(index, listening, whole, heard);
  const ends = (index.sequences.get(at) ?? NOBODY).filter((one) =>
    isHeard(index, listening.focus, one.command.context),
  );
  if (listening.begun === null && ends.length > 0) return { kind: 'begun', chord, ends };
  const why = facts.fixed.get(at) ?? facts.fixed.get(whole);
  if (why !== undefined) return { kind: 'kept by the program', chord: whole, why };
  return holders.length > 0 ? { kind: 'not here', chord: whole, holders } : { kind: 'nobody', chord: whole };
}

const NOBODY: readonly Holder[] = [];

/** Whether what is pressed in a context is heard in another: in itself and in those around it. */
export function isHeard({ facts }: ClashIndex, focus: ContextId, context: ContextId): boolean {
  return focus === context || (facts.around.get(focus)?.has(context) ?? false);
}

function answerOf(index: ClashIndex, listening: Listening, chord: ChordText, heard: readonly Holder[]): Outcome {
  const { facts } = index;
  const depth = (one: Holder): number => facts.around.get(one.command.context)?.size ?? 0;
  const deepest = Math.max(...heard.map(depth));
  // Without shadowing, a wider context is as good as a narrower one.
  const near = facts.program.rules.shadow ? heard.filter((one) => depth(one) === deepest) : heard;
  const shadowed = heard.filter((one) => !near.includes(one)).map((one) => one.command);
  const commands = inProgramOrder(index, near);
  const area = facts.areaOf.get(commands[0]?.id ?? '') ?? -1;
  const turning = commands.length > 1 && area >= 0 && commands.every((one) => facts.areaOf.get(one.id) === area);
  if (commands.length > 1 && !turning) return { kind: 'clash', chord, commands };
  const now = commands.findIndex((one) => one.id === listening.tool);
  const command = commands[(now + 1) % commands.length] as Command;
  const binding = near.find((one) => one.command === command) as Holder;
  return {
    kind: 'fired',
    command,
    chord: binding.chord,
    context: command.context,
    turns: commands.filter((one) => one !== command),
    shadowed,
  };
}

/** The commands of some holders, each once, in the program's own order. */
function inProgramOrder({ facts }: ClashIndex, holders: readonly Holder[]): Command[] {
  const ids = new Set(holders.map((one) => one.command.id));
  if (ids.size < 2) return holders.slice(0, 1).map((one) => one.command);
  return facts.program.commands.filter((one) => ids.has(one.id));
}
