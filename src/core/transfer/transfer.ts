import type { ChordText } from '../chord/chord';
import { compareKeymaps } from '../keymap/compareKeymaps';
import { type Binding, bindingsOf, type Keymap } from '../keymap/keymap';
import type { CommandId } from '../program/program';
import { type Claims, claimKeys } from './claimKeys';
import { type Decided, decideLine } from './decideLine';
import { type Loser, planKnockOns } from './planKnockOns';
import { type Fallen, takeKeys } from './takeKeys';
import type { KnockOn, Transfer, TransferLine, TransferTask } from './transferTypes';

/**
 * Makes a keymap feel like another: for every pair of counterparts takes their keys, keeps one's own or gives others, as
 * chosen by hand or by the rules; whoever loses keys to that gets the closest free ones, all of them planned together.
 * Keepers and what was settled by hand are never touched, and no two commands clash that did not before.
 * @param title of the ticket.
 */
export function transfer(task: TransferTask, title: string): Transfer {
  const { advisor, keymap, settled } = task;
  const begun = withSettled(keymap, settled);
  const decided = task.pairs.flatMap((pair) => decideLine(task, begun, pair) ?? []);
  const claims = claimKeys(task, begun, decided);

  const bindings = new Map(begun.bindings);
  const put = (id: CommandId, list: readonly Binding[]): void => {
    if (list.length === 0) bindings.delete(id);
    else bindings.set(id, list);
  };
  for (const line of decided) if (claims.got.has(line)) put(line.mine.id, afterOf(task, begun, line, claims));
  const fallen = takeKeys(task, { bindings, spares: keymap.spares }, claims);
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
}

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
function afterOf({ advisor, rules }: TransferTask, begun: Keymap, line: Decided, { got }: Claims): readonly Binding[] {
  const { facts, where } = advisor;
  const own = bindingsOf(begun, line.mine.id);
  const wanted = new Set(line.wanted.map(where.place));
  const claimed = got.get(line) ?? [];
  const given = line.wanted.flatMap((chord): Binding[] => {
    const had = own.filter((one) => where.place(one.chord) === where.place(chord));
    // Of one place written in two ways a keeper stays.
    const kept = had.filter((one) => one.keeper);
    if (had.length > 0) return kept.length > 0 ? kept : had.slice(0, 1);
    return claimed.includes(chord) ? [{ chord }] : [];
  });
  const keys = [...new Set(given)];
  const stays = (one: Binding): boolean =>
    !wanted.has(where.place(one.chord)) &&
    (rules.besides || one.keeper === true || facts.fixed.has(one.chord) || facts.fixed.has(where.place(one.chord)));
  return [...keys, ...own.filter(stays)];
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
