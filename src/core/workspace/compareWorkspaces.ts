import type { CommandId } from '../program/program';
import { counted } from '../text/sentence';
import { type Appearance, TINT_WORDS } from './appearance';
import { type Arrangement, groupsOf, SIDES, shownPanels, sideOf } from './arrangement';
import { type Dressing, marksOf } from './dressing';
import { sideWords } from './dropSpots';
import { PARTS, type Part, type Workspace } from './room';
import type { Strip, ToolLayout } from './toolLayout';

/** A part that differs, and in what, as short sentences. */
export type Difference = { readonly part: Part; readonly words: readonly string[] };
type NameOf = (command: CommandId) => string;

const MOST_NAMED = 3;

/**
 * What changes from one workspace to another, part by part.
 * @param nameOf the name of a command. @param keymapName the name of a keymap by its number, null for the factory's.
 */
export function compareWorkspaces(
  before: Workspace,
  after: Workspace,
  nameOf: NameOf,
  keymapName: (keymap: number | null) => string,
): readonly Difference[] {
  return PARTS.flatMap((part): Difference[] => {
    const [a, b] = [before[part], after[part]];
    if (JSON.stringify(a) === JSON.stringify(b)) return [];
    if (b === undefined) return [{ part, words: ['no longer belongs to it'] }];
    if (a === undefined) return [{ part, words: ['now belongs to it'] }];
    const words = differs(part, before, after, nameOf, keymapName);
    return [{ part, words: words.length > 0 ? words : ['in another order'] }];
  });
}

function differs(
  part: Part,
  a: Workspace,
  b: Workspace,
  nameOf: NameOf,
  keymapName: (keymap: number | null) => string,
): readonly string[] {
  switch (part) {
    case 'panels':
      return panelWords(a.panels as Arrangement, b.panels as Arrangement, nameOf);
    case 'menus':
      return menuWords(a.menus as Dressing, b.menus as Dressing, nameOf);
    case 'tools':
      return toolWords(a.tools as ToolLayout, b.tools as ToolLayout, nameOf);
    case 'appearance':
      return appearanceWords(a.appearance as Appearance, b.appearance as Appearance);
    case 'keymap':
      return [`${keymapName(a.keymap ?? null)} → ${keymapName(b.keymap ?? null)}`];
  }
}

function some(list: readonly CommandId[], nameOf: NameOf): string {
  const names = list.slice(0, MOST_NAMED).map(nameOf).join(', ');
  return list.length > MOST_NAMED ? `${names} and ${list.length - MOST_NAMED} more` : names;
}

function said(list: readonly CommandId[], nameOf: NameOf, what: string): string[] {
  return list.length === 0 ? [] : [`${some(list, nameOf)} ${what}`];
}

const minus = (a: Iterable<CommandId>, b: ReadonlySet<CommandId>): CommandId[] => [...a].filter((one) => !b.has(one));

function panelWords(a: Arrangement, b: Arrangement, nameOf: NameOf): string[] {
  const [shownA, shownB] = [shownPanels(a), shownPanels(b)];
  const both = [...shownB].filter((one) => shownA.has(one));
  const moved = both.filter((one) => sideOf(a, one) !== sideOf(b, one));
  const withWhom = (arrangement: Arrangement, one: CommandId): string =>
    groupsOf(arrangement)
      .find((group) => group.panels.includes(one))
      ?.panels.join() ?? '';
  const stacked = both.filter((one) => !moved.includes(one) && withWhom(a, one) !== withWhom(b, one));
  const sized = SIDES.filter((side) => Math.abs(a.docks[side].size - b.docks[side].size) > 0.002);
  const folded = SIDES.filter((side) => a.docks[side].fold !== b.docks[side].fold);
  return [
    ...said(minus(shownB, shownA), nameOf, 'shown'),
    ...said(minus(shownA, shownB), nameOf, 'hidden'),
    ...moved.slice(0, MOST_NAMED).map((one) => `${nameOf(one)} to ${sideWords(sideOf(b, one))}`),
    ...(moved.length > MOST_NAMED ? [`${moved.length - MOST_NAMED} more to other sides`] : []),
    ...said(stacked, nameOf, 'stacked otherwise'),
    ...sized.map((side) => `${sideWords(side)} ${b.docks[side].size > a.docks[side].size ? 'larger' : 'smaller'}`),
    ...folded.map((side) => `${sideWords(side)} ${b.docks[side].fold === 'open' ? 'unfolded' : 'folded'}`),
  ];
}

function menuWords(a: Dressing, b: Dressing, nameOf: NameOf): string[] {
  const [marksA, marksB] = [marksOf(a), marksOf(b)];
  const marked = [...marksB].filter(([one, ink]) => marksA.get(one) !== ink).map(([one]) => one);
  return [
    ...said(minus(b.hidden, new Set(a.hidden)), nameOf, 'hidden'),
    ...said(minus(a.hidden, new Set(b.hidden)), nameOf, 'brought back'),
    ...said(marked, nameOf, 'marked'),
    ...said(minus(marksA.keys(), new Set(marksB.keys())), nameOf, 'without a mark'),
  ];
}

function toolWords(a: ToolLayout, b: ToolLayout, nameOf: NameOf): string[] {
  const strip = (name: string, from: Strip, to: Strip): string[] => {
    const [had, has] = [from.groups.flat(), to.groups.flat()];
    const [added, gone] = [minus(has, new Set(had)), minus(had, new Set(has))];
    const regrouped =
      added.length === 0 && gone.length === 0 && JSON.stringify(from.groups) !== JSON.stringify(to.groups);
    return [
      ...said(added, nameOf, `added to the ${name}`),
      ...said(gone, nameOf, `taken off the ${name}`),
      ...(regrouped ? [`${name} in another order`] : []),
      ...(from.size === to.size ? [] : [`${name}: ${to.size} buttons`]),
      ...(from.words === to.words ? [] : [`${name}: words ${to.words ? 'under' : 'no longer under'} its icons`]),
    ];
  };
  const icons = new Map(a.icons);
  const other = b.icons.filter(([one, icon]) => icons.get(one) !== icon).length;
  return [
    ...strip('tool rail', a.rail, b.rail),
    ...(a.rail.columns === b.rail.columns ? [] : [`tool rail: ${counted(b.rail.columns, 'column')}`]),
    ...strip('button bar', a.bar, b.bar),
    ...(other > 0 ? [`${counted(other, 'other icon')}`] : []),
  ];
}

function appearanceWords(a: Appearance, b: Appearance): string[] {
  const number = (name: string, from: number, to: number): string[] => (from === to ? [] : [`${name} ${from} → ${to}`]);
  return [
    ...number('brightness', a.brightness, b.brightness),
    ...number('contrast', a.contrast, b.contrast),
    ...(a.controls === b.controls ? [] : [`${b.controls} controls`]),
    ...number('gray around the picture', a.surround, b.surround),
    ...(a.seeThrough === b.seeThrough ? [] : [`transparency: ${TINT_WORDS[b.seeThrough]}`]),
    ...(a.mask === b.mask ? [] : [`masks: ${TINT_WORDS[b.mask]}`]),
  ];
}
