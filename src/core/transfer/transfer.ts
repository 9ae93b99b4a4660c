import type { ChordText } from '../chord/chord';
import { buildClashIndex, type ClashIndex, relation } from '../clash/clashIndex';
import { findingsFor, weightOf } from '../clash/verdict';
import { compareKeymaps } from '../keymap/compareKeymaps';
import { type Binding, bindingsOf, EMPTY_KEYMAP, type Keymap } from '../keymap/keymap';
import type { Command, CommandId } from '../program/program';
import { type Decided, decideLine } from './decideLine';
import { type Loser, planKnockOns } from './planKnockOns';
import type { InTheWay, KnockOn, Transfer, TransferLine, TransferTask } from './transferTypes';

/**
 * Makes a keymap feel like another: for every pair of counterparts takes their keys, keeps one's own or gives others, as
 * chosen by hand or by the rules; whoever loses keys to that gets the closest free ones, all of them planned together.
 * Keepers and what was settled by hand are never touched, and no two commands clash that did not before.
 * @param title of the ticket.
 */
export function transfer(task: TransferTask, title: string): Transfer {
  const { advisor, keymap, settled } = task;
  const { facts, where } = advisor;
  const begun = withSettled(keymap, settled);
  const decided = task.pairs.flatMap((pair) => decideLine(task, begun, pair) ?? []);
  const claims = claimAll(task, begun, decided);

  const bindings = new Map(begun.bindings);
  const put = (id: CommandId, list: readonly Binding[]): void => {
    if (list.length === 0) bindings.delete(id);
    else bindings.set(id, list);
  };
  for (const line of decided) if (claims.got.has(line)) put(line.mine.id, afterOf(task, line, claims));
  const fallen = takeFrom(task, { bindings, spares: keymap.spares }, claims);
  for (const { command, left } of fallen) put(command.id, left);

  const losers: Loser[] = [];
  for (const { command, lost, left } of fallen) {
    const answer = task.instead.get(command.id);
    const wanted = answer === undefined ? left.length === 0 && !keymap.spares.has(command.id) : answer !== null;
    if (wanted) losers.push({ command, lost: lost[0] as ChordText, uses: task.usesOf(command) });
  }
  const wantedChords = new Map(
    [...task.instead].flatMap(([id, chord]) => (chord === null ? [] : [[id, chord] as const])),
  );
  const between: Keymap = { bindings: new Map(bindings), spares: keymap.spares };
  const planned = planKnockOns(advisor, between, losers, wantedChords);
  for (const [id, chord] of planned.given) put(id, [...bindingsOf(between, id), { chord }]);

  const result: Keymap = { bindings, spares: keymap.spares };
  const changes = compareKeymaps(keymap, result);
  return {
    lines: decided.map((line) => lineOf(keymap, result, line, claims, fallen)),
    knockOns: fallen.map((one): KnockOn => {
      const instead = planned.given.get(one.command.id) ?? null;
      return { command: one.command, lost: one.lost, to: one.to, instead, reason: reasonOf(task, planned, one) };
    }),
    keymap: result,
    ticket: changes.length === 0 ? null : { title, changes },
    lostAnswers: planned.lostAnswers,
  };

  function lineOf(
    before: Keymap,
    after: Keymap,
    line: Decided,
    { got, missed }: Claims,
    losing: readonly Fallen[],
  ): TransferLine {
    const { mine, theirs, theirKeys, choice, byHand, reason } = line;
    const ways = missed.get(line) ?? [];
    const none = choice === 'take' || choice === 'other' ? !got.has(line) : false;
    const [first] = ways;
    return {
      mine,
      theirs,
      theirKeys,
      before: bindingsOf(before, mine.id),
      after: bindingsOf(after, mine.id),
      choice: none ? 'keep' : choice,
      byHand,
      reason: none && first ? { kind: 'in the way', ...first } : reason,
      missed: ways,
      from: losing.filter((one) => one.to.includes(mine.id)).map((one) => one.command.id),
    };
  }

  /** The keys of a line once it has what it could get. */
  function afterOf({ rules }: TransferTask, line: Decided, { got }: Claims): readonly Binding[] {
    const own = bindingsOf(begun, line.mine.id);
    const wanted = new Set(line.wanted.map(where.place));
    const claimed = got.get(line) ?? [];
    const keys = line.wanted.flatMap((chord): Binding[] => {
      const had = own.find((one) => where.place(one.chord) === where.place(chord));
      return had ? [had] : claimed.includes(chord) ? [{ chord }] : [];
    });
    const stays = (one: Binding): boolean =>
      !wanted.has(where.place(one.chord)) &&
      (rules.besides || one.keeper === true || facts.fixed.has(one.chord) || facts.fixed.has(where.place(one.chord)));
    return [...keys, ...own.filter(stays)];
  }
}

function withSettled(keymap: Keymap, settled: TransferTask['settled']): Keymap {
  if (settled.size === 0) return keymap;
  const bindings = new Map(keymap.bindings);
  for (const [id, list] of settled) {
    if (list.length === 0) bindings.delete(id);
    else bindings.set(id, list);
  }
  return { bindings, spares: keymap.spares };
}

/** Who claims which place, what each line gets newly, and what it can't have. */
type Claims = {
  readonly at: ReadonlyMap<ChordText, readonly Command[]>;
  readonly got: ReadonlyMap<Decided, readonly ChordText[]>;
  readonly missed: ReadonlyMap<Decided, readonly { readonly chord: ChordText; readonly way: InTheWay }[]>;
};

/** Gives out the keys that lines want: what was settled by hand first, then what is used most. */
function claimAll(task: TransferTask, begun: Keymap, decided: readonly Decided[]): Claims {
  const { facts, where } = task.advisor;
  const index = buildClashIndex(facts, begun, where.place);
  const nobody = buildClashIndex(facts, EMPTY_KEYMAP, where.place);
  const at = new Map<ChordText, Command[]>();
  const claim = (place: ChordText, command: Command): void => {
    at.set(place, [...(at.get(place) ?? []), command]);
  };
  const stays = new Set<CommandId>(task.settled.keys());
  for (const line of decided) {
    if (line.protects) stays.add(line.mine.id);
    if (line.choice === 'same') {
      stays.add(line.mine.id);
      for (const chord of line.theirKeys) claim(where.place(chord), line.mine);
    }
  }
  const got = new Map<Decided, readonly ChordText[]>();
  const missed = new Map<Decided, { chord: ChordText; way: InTheWay }[]>();
  const takers = decided.filter((line) => line.choice === 'take' || line.choice === 'other');
  const order = new Map(takers.map((line, i) => [line, i]));
  const first = (line: Decided): number => (line.byHand ? 1e9 : 0) + task.usesOf(line.mine);
  takers.sort((a, b) => first(b) - first(a) || (order.get(a) ?? 0) - (order.get(b) ?? 0));
  for (const line of takers) {
    const own = new Set(bindingsOf(begun, line.mine.id).map((one) => where.place(one.chord)));
    const newly: ChordText[] = [];
    let any = line.wanted.length === 0;
    for (const chord of line.wanted) {
      const place = where.place(chord);
      const way = own.has(place)
        ? claimedBefore(task, at.get(place), line.mine)
        : whatStands(task, { index, nobody, stays, claimed: at.get(place) }, line, chord);
      if (way) {
        missed.set(line, [...(missed.get(line) ?? []), { chord, way }]);
        continue;
      }
      any = true;
      claim(place, line.mine);
      if (!own.has(place)) newly.push(chord);
    }
    if (any) got.set(line, newly);
  }
  return { at, got, missed };
}

function claimedBefore(
  { advisor }: TransferTask,
  claimed: readonly Command[] | undefined,
  mine: Command,
): InTheWay | null {
  const other = claimed?.find((one) => one.id !== mine.id && relation(advisor.facts, one, mine) === 'clash');
  return other ? { kind: 'wanted more by', command: other } : null;
}

/** What stands in the way of a command having a chord; null for nothing that would not give way. */
function whatStands(
  task: TransferTask,
  {
    index,
    nobody,
    stays,
    claimed,
  }: {
    readonly index: ClashIndex;
    readonly nobody: ClashIndex;
    readonly stays: ReadonlySet<CommandId>;
    readonly claimed: readonly Command[] | undefined;
  },
  { mine, byHand }: Decided,
  chord: ChordText,
): InTheWay | null {
  const { facts, where } = task.advisor;
  for (const finding of findingsFor(nobody, where, mine, chord)) {
    const weight = weightOf(finding);
    // What may not be heard is taken only by somebody who saw it and chose it.
    if (weight === 'stops' || finding.kind === 'no such key' || (weight === 'warns' && !byHand))
      return { kind: 'not here', finding: finding.kind };
  }
  if (findingsFor(index, where, mine, chord).some((one) => one.kind === 'in a sequence'))
    return { kind: 'not here', finding: 'in a sequence' };
  for (const holder of index.holders.get(where.place(chord)) ?? []) {
    if (holder.command.id === mine.id || relation(facts, holder.command, mine) !== 'clash') continue;
    if (holder.keeper || facts.fixed.has(holder.chord)) return { kind: 'keeper of', command: holder.command };
    if (stays.has(holder.command.id)) return { kind: 'stays with', command: holder.command };
  }
  return claimedBefore(task, claimed, mine);
}

/** Somebody from whom keys were taken, and what is left. */
type Fallen = {
  readonly command: Command;
  readonly lost: readonly ChordText[];
  readonly left: readonly Binding[];
  readonly to: readonly CommandId[];
};

/** Takes claimed keys from everybody else who would clash with them, or would have to take turns from now on. */
function takeFrom(task: TransferTask, keymap: Keymap, { at, got }: Claims): Fallen[] {
  const { facts, where } = task.advisor;
  const fresh = new Set([...got.values()].flat().map(where.place));
  const fallen: Fallen[] = [];
  for (const command of facts.program.commands) {
    const had = bindingsOf(keymap, command.id);
    const to = new Set<CommandId>();
    const left = had.filter((binding) => {
      const place = where.place(binding.chord);
      const claimed = fresh.has(place) ? (at.get(place) ?? []) : [];
      if (claimed.some((one) => one.id === command.id) || binding.keeper || task.settled.has(command.id)) return true;
      const takers = claimed.filter((one) => {
        const how = relation(facts, one, command);
        return how === 'clash' || how === 'turns';
      });
      for (const one of takers) to.add(one.id);
      return takers.length === 0;
    });
    if (left.length < had.length)
      fallen.push({
        command,
        lost: had.filter((one) => !left.includes(one)).map((one) => one.chord),
        left,
        to: [...to],
      });
  }
  return fallen;
}

function reasonOf(
  task: TransferTask,
  { given }: ReturnType<typeof planKnockOns>,
  { command, left }: Fallen,
): KnockOn['reason'] {
  const { instead, keymap } = task;
  const answer = instead.get(command.id);
  const has = given.get(command.id);
  if (has !== undefined) return answer === has ? 'by hand' : 'closest';
  if (answer === null) return 'by hand';
  if (left.length > 0) return 'has others';
  return keymap.spares.has(command.id) ? 'spare' : 'none free';
}
