import { type Advisor, costOfChord, wantsOf } from '../advice/advisor';
import { type Candidate, candidatesOn, usualLayers } from '../advice/candidates';
import { freeColumns } from '../advice/freeColumns';
import { usualForms } from '../advice/usualForms';
import { assign } from '../assignment/assign';
import type { ChordText, Modifier } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import { buildClashIndex } from '../clash/clashIndex';
import { verdict } from '../clash/verdict';
import { keyDistance } from '../keyboard/keyDistance';
import type { Where } from '../keyboard/where';
import type { Keymap } from '../keymap/keymap';
import type { Command, CommandId } from '../program/program';

/** Somebody who has lost its last keys and is to get others. */
export type Loser = { readonly command: Command; readonly lost: ChordText; readonly uses: number };

/** What a key further away costs, and a modifier more or less, in the measure of reach. */
const A_KEY = 0.16;
const A_MODIFIER = 0.16;
/** How much reach and likes count besides nearness. */
const LIKES = 0.5;
/** What having no key costs. */
const NO_KEY = 4;
/** Uses a day that even the seldom used count for. */
const LEAST_USES = 0.5;

/**
 * Finds for all who lost their keys the closest free ones, all together as good as can be: near the keys they had, on few
 * other modifiers, and easy to reach besides. Nothing stands in the way of any of them.
 * @param keymap as it is once everybody has taken what they take, without what was lost.
 * @param wanted keys chosen by hand; held to where they are free.
 */
export function planKnockOns(
  advisor: Advisor,
  keymap: Keymap,
  losers: readonly Loser[],
  wanted: ReadonlyMap<CommandId, ChordText>,
): { readonly given: ReadonlyMap<CommandId, ChordText>; readonly lostAnswers: readonly CommandId[] } {
  const { facts, where } = advisor;
  const index = buildClashIndex(facts, keymap, where.place);
  const given = new Map<CommandId, ChordText>();
  const lostAnswers: CommandId[] = [];
  const taken = new Set<ChordText>();
  for (const { command } of losers) {
    const chord = wanted.get(command.id);
    if (chord === undefined) continue;
    const { findings } = verdict(index, where, command, chord);
    if (findings[0]?.kind === 'free' && !taken.has(where.place(chord))) {
      given.set(command.id, chord);
      taken.add(where.place(chord));
    } else lostAnswers.push(command.id);
  }
  const rows = losers.filter((one) => !given.has(one.command.id));
  if (rows.length === 0) return { given, lostAnswers };
  const columns = candidatesOn(where, usualLayers(where), false);
  const free = freeColumns(
    advisor,
    index,
    columns,
    () => false,
    () => false,
    usualForms(facts, keymap),
  );
  const costs = new Float64Array(rows.length * columns.length).fill(Infinity);
  const without = new Float64Array(rows.length);
  rows.forEach(({ command, lost, uses }, r) => {
    const wants = wantsOf(advisor, keymap, command);
    const cells = free(command);
    const far = distances(where, lost);
    const times = 1000 * Math.max(LEAST_USES, uses);
    const hold = command.kind === 'held action' ? 'hold:' : '';
    columns.forEach((column, c) => {
      if (!cells[c] || taken.has(where.place(hold + column.chord))) return;
      const figure = far(column) + LIKES * (1 + costOfChord(advisor, wants, hold + column.chord));
      if (figure < NO_KEY) costs[r * columns.length + c] = Math.round(times * figure);
    });
    without[r] = Math.round(times * NO_KEY);
  });
  const found = assign({ rows: rows.length, columns: columns.length, costs, without });
  rows.forEach(({ command }, r) => {
    const column = columns[found?.columnOf[r] ?? -1];
    if (column) given.set(command.id, (command.kind === 'held action' ? 'hold:' : '') + column.chord);
  });
  return { given, lostAnswers };
}

/** How far chords are from one: keys apart, and modifiers that differ. */
function distances(where: Where, from: ChordText): (to: Candidate) => number {
  const stroke = parseCanonical(from)?.strokes[0];
  const at = stroke?.key ? where.keyboard.byChar.get(stroke.key)?.key : undefined;
  const key = at ?? where.keyboard.keys.find((one) => one.name === stroke?.key);
  const had: readonly Modifier[] = stroke?.modifiers ?? [];
  return (to) => {
    const there = where.keyboard.byCode.get(to.code);
    const apart = key && there ? keyDistance(key, there) : 4;
    const others =
      to.modifiers.filter((one) => !had.includes(one)).length + had.filter((one) => !to.modifiers.includes(one)).length;
    return A_KEY * apart + A_MODIFIER * others;
  };
}
