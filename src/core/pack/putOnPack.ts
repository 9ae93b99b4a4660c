import type { Advisor } from '../advice/advisor';
import type { Counterpart } from '../counterpart/counterpart';
import { sureOf } from '../counterpart/surePairs';
import { usesOf } from '../effort/uses';
import { fromFileBinding } from '../file/keymapFile';
import { whereOf } from '../keyboard/where';
import { compareKeymaps } from '../keymap/compareKeymaps';
import { binding, bindingsOf, type Keymap } from '../keymap/keymap';
import type { CommandId } from '../program/program';
import { EMPTY_PLAN } from '../transfer/matchPlan';
import { transfer } from '../transfer/transfer';
import type { Choice, Transfer } from '../transfer/transferTypes';
import { translateKeys } from '../transfer/translateKeys';
import { lineId, packCommands } from './matchPack';
import { type Pack, packTitle } from './pack';

/**
 * Puts a pack on a keymap: each command has the keys of the pack, whoever loses keys to that gets the closest free ones,
 * keepers are never touched; all of it one ticket.
 * @param counterparts which commands the lines are of. @param choices of lines settled by hand, by the command here.
 */
export function putOnPack(
  pack: Pack,
  counterparts: readonly Counterpart[],
  advisor: Advisor,
  keymap: Keymap,
  choices: ReadonlyMap<CommandId, Choice>,
  uses: ReadonlyMap<CommandId, number>,
): Transfer {
  const { program } = advisor.facts;
  const made = { where: whereOf(pack.madeOn, pack.madeOn.desktop), move: 'letters' as const };
  const keysOf = pack.lines.map((line) =>
    line.keys.map(fromFileBinding).map((one) => ({ ...one, chord: translateKeys(one.chord, made, advisor.where) })),
  );
  const keysAt = new Map(keysOf.map((keys, i) => [lineId(i), keys]));
  const pairs = sureOf(counterparts).map(([theirs, mine]) => ({ mine, theirs }));
  // Who is to have none gives up its keys.
  const emptied = pairs.filter(
    ({ mine, theirs }) =>
      keysAt.get(theirs)?.length === 0 && !choices.has(mine) && !bindingsOf(keymap, mine).some((one) => one.keeper),
  );
  const done = transfer(
    {
      advisor,
      keymap,
      theirCommands: new Map(packCommands(pack, program).map((one) => [one.id, one])),
      theirKeys: { bindings: keysAt, spares: new Set() },
      pairs,
      rules: EMPTY_PLAN.rules,
      choices,
      instead: new Map(),
      settled: new Map(emptied.map(({ mine }) => [mine, []])),
      usesOf: (command) => usesOf(command, uses),
    },
    packTitle(pack.name),
  );
  // Hooks come with the keys; what is a keeper is for whoever keeps it to say.
  const hooks = new Map(
    pairs.flatMap(({ mine, theirs }) =>
      (keysAt.get(theirs) ?? []).flatMap(({ chord, hook }) =>
        hook === undefined ? [] : [[`${mine}\n${chord}`, hook] as const],
      ),
    ),
  );
  const bindings = new Map(
    [...done.keymap.bindings].map(([id, list]) => [
      id,
      list.map((one) => binding(one.chord, one.keeper, one.hook ?? hooks.get(`${id}\n${one.chord}`))),
    ]),
  );
  const after: Keymap = { bindings, spares: keymap.spares };
  const changes = compareKeymaps(keymap, after);
  return { ...done, keymap: after, ticket: changes.length === 0 ? null : { title: packTitle(pack.name), changes } };
}
