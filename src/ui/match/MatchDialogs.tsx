import type { ChordText } from '@/core/chord/chord';
import type { ClashIndex, ProgramFacts } from '@/core/clash/clashIndex';
import { buildClashIndex } from '@/core/clash/clashIndex';
import { verdict } from '@/core/clash/verdict';
import type { Counterpart } from '@/core/counterpart/counterpart';
import { type Said, saidOf } from '@/core/counterpart/knownPairs';
import type { Where } from '@/core/keyboard/where';
import type { Draft } from '@/core/keymap/draft';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { Command, CommandId } from '@/core/program/program';
import { useSettings } from '../shell/SettingsContext';
import { CounterpartDialog } from './CounterpartDialog';
import type { MatchRow } from './matchRows';
import { PressKeys } from './PressKeys';

/** A line that is asked about: which command here it is, or which keys it is to have. */
export type Asked = { readonly what: 'counterpart' | 'keys'; readonly row: MatchRow };

type Props = {
  readonly asked: Asked | null;
  readonly draft: Draft;
  readonly programSlug: string;
  readonly facts: ProgramFacts;
  readonly theirs: KeymapView;
  readonly names: readonly [string, string];
  readonly said: readonly Said[];
  readonly counterparts: readonly Counterpart[];
  readonly onSay: (of: CommandId, mine: CommandId | null | undefined) => void;
  readonly onKeys: (mine: CommandId, chord: ChordText) => void;
  readonly onClose: () => void;
};

/** What is asked about a line of the match. */
export function MatchDialogs({
  asked,
  draft,
  programSlug,
  facts,
  theirs,
  names,
  said,
  counterparts,
  onSay,
  onKeys,
  onClose,
}: Props) {
  const { where } = useSettings();
  const { program } = facts;
  if (!asked) return null;
  const { row } = asked;
  if (asked.what === 'counterpart') {
    const subject = { program: theirs.programSlug, command: row.theirs.id, other: programSlug };
    return (
      <CounterpartDialog
        theirs={row.theirs}
        names={names}
        commands={program.commands}
        counterparts={counterparts}
        said={saidOf(said, subject) !== undefined}
        onSay={(mine) => {
          onSay(row.theirs.id, mine);
          onClose();
        }}
        onClose={onClose}
      />
    );
  }
  const { mine } = row;
  if (!mine) return null;
  return (
    <PressKeys
      title={`Other keys for ${mine.name}`}
      name={mine.name}
      say={(chord) => sayOf(buildClashIndex(facts, draft.keymap, where.place), where, mine, chord)}
      onKeys={(chord) => {
        onKeys(mine.id, chord);
        onClose();
      }}
      onClose={onClose}
    />
  );
}

function sayOf(index: ClashIndex, where: Where, command: Command, chord: ChordText): string {
  const { findings } = verdict(index, where, command, chord);
  const held = findings.find((one) => one.kind === 'held by');
  if (held?.kind === 'held by') {
    const [holder] = held.holders;
    return holder?.keeper
      ? `A keeper of ${holder.command.name}: it can’t be taken here.`
      : `${holder?.command.name} has these keys and would get the closest free ones.`;
  }
  return findings[0]?.kind === 'free' ? 'These keys are free.' : '';
}
