import { createHash } from 'node:crypto';
import { type Packed, pack } from '../../core/view/packed';
import { Problem } from '../../schemas/problem';
import { ofOneMoment } from '../database';
import { commandsOfVersion, versionOfCommands } from '../repositories/programs';

type CommandList = { readonly mark: string; readonly text: string };
// Next bundles routes apart from each other; the page and the address it names know the same lists.
const shared = globalThis as {
  grayPinLists?: WeakMap<readonly unknown[], CommandList>;
};
shared.grayPinLists ??= new WeakMap();
const lists = shared.grayPinLists;

function listOf(commands: readonly unknown[]): CommandList {
  const known = lists.get(commands);
  if (known) return known;
  const text = JSON.stringify(commands);
  const list = { text, mark: createHash('sha256').update(text).digest('base64url') };
  lists.set(commands, list);
  return list;
}

/**
 * What a screen shows, packed. Commands of programs are set apart: they are the most of it, and the same on every screen,
 * so that the browser has to ask for them once.
 */
export function packScreen<Value>(value: Value): Packed<Value> {
  return pack(value, (list) => {
    const version = versionOfCommands(list);
    return version === null ? null : `/api/versions/${version}/commands?mark=${listOf(list).mark}`;
  });
}

/**
 * The commands of a version of a program as JSON, by the mark of what they are.
 * @throws Problem when they are others by now.
 */
export const commandList = ofOneMoment(async function commandList(versionId: number, mark: string): Promise<string> {
  const list = listOf(await commandsOfVersion(versionId));
  if (list.mark !== mark)
    throw new Problem('not found', 'This program has other commands by now. Load the page again to see them.');
  return list.text;
});
