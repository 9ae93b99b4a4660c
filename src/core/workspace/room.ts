import type { Keymap } from '../keymap/keymap';
import type { CommandId, Program } from '../program/program';
import { type Appearance, FACTORY_APPEARANCE } from './appearance';
import { type Arrangement, factoryArrangement, fitArrangement } from './arrangement';
import { type Dressing, fitDressing, PLAIN_MENUS } from './dressing';
import { factoryTools, fitTools, type ToolLayout } from './toolLayout';

/** What surrounds the picture in one program: all parts of a workspace, as they stand now. */
export type Room = {
  readonly panels: Arrangement;
  readonly menus: Dressing;
  readonly tools: ToolLayout;
  readonly appearance: Appearance;
  /** The number of a keymap; null for the factory's. */
  readonly keymap: number | null;
};
export const PARTS = ['panels', 'menus', 'tools', 'appearance', 'keymap'] as const;
export type Part = (typeof PARTS)[number];
export const PART_WORDS: Readonly<Record<Part, string>> = {
  panels: 'Panels',
  menus: 'Menus',
  tools: 'Tools and bars',
  appearance: 'Appearance',
  keymap: 'Keymap',
};

/** What is kept under a name: the parts that belong to it, and no other. */
export type Workspace = Partial<Room>;

/** A change of a room: the parts it touches, before and after. Its inverse has them the other way round. */
export type RoomStep = { readonly title: string; readonly before: Workspace; readonly after: Workspace };

/** The room a program starts with. */
export function factoryRoom(program: Program, factory: Keymap): Room {
  return {
    panels: factoryArrangement(program),
    menus: PLAIN_MENUS,
    tools: factoryTools(program, factory),
    appearance: FACTORY_APPEARANCE,
    keymap: null,
  };
}

/** The parts that a workspace has, in the order of `PARTS`. */
export function partsOf(workspace: Workspace): readonly Part[] {
  return PARTS.filter((part) => workspace[part] !== undefined);
}

/** Some parts of a room. */
export function pickParts(room: Workspace, parts: readonly Part[]): Workspace {
  return Object.fromEntries(
    PARTS.filter((part) => parts.includes(part) && room[part] !== undefined).map((part) => [part, room[part]]),
  );
}

/** The room with the parts that a workspace has; everything else stays. */
export function applyWorkspace(room: Room, workspace: Workspace): Room {
  return { ...room, ...pickParts(workspace, PARTS) };
}

/** The step that leads from a room to one with these parts; null where they are so already. */
export function stepTo(room: Room, title: string, wanted: Workspace): RoomStep | null {
  const parts = partsOf(wanted).filter((part) => JSON.stringify(room[part]) !== JSON.stringify(wanted[part]));
  return parts.length === 0 ? null : { title, before: pickParts(room, parts), after: pickParts(wanted, parts) };
}

/** Whether a room is, in the parts of a workspace, as that was kept. */
export function standsAs(room: Room, workspace: Workspace): boolean {
  return stepTo(room, '', workspace) === null;
}

/** A workspace without what a program doesn't have. */
export function fitWorkspace(workspace: Workspace, program: Pick<Program, 'commands'>): Workspace {
  const known: ReadonlySet<CommandId> = new Set(program.commands.map((one) => one.id));
  return {
    ...workspace,
    ...(workspace.panels ? { panels: fitArrangement(workspace.panels, known) } : {}),
    ...(workspace.menus ? { menus: fitDressing(workspace.menus, known) } : {}),
    ...(workspace.tools ? { tools: fitTools(workspace.tools, known) } : {}),
  };
}
