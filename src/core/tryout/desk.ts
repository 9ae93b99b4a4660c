import type { Command, CommandId, Program } from '../program/program';
import { type Meaning, meaningsIn } from '../words/meanings';
import { type Arrangement, factoryArrangement, sideOf } from '../workspace/arrangement';
import { isOnTop, togglePanel } from '../workspace/changePanels';
import { changeJars, type Jars, START_JARS } from './jars';
import { changeLayers, type LayerStack, START_LAYERS } from './layerStack';

export type View = {
  readonly zoom: number;
  readonly turn: number;
  readonly mirrored: boolean;
  readonly x: number;
  readonly y: number;
};
const LEAST_ZOOM = 0.1;
const MOST_ZOOM = 8;

/** How the stand-in program stands: what is in hand, shown, set and held. Never changed in place. */
export type Desk = {
  readonly tool: CommandId | null;
  /** The tool before it, to go back to. */
  readonly before: CommandId | null;
  readonly panels: Arrangement;
  /** The panel of a folded dock that is opened beside its strip. */
  readonly peeked: CommandId | null;
  /** Whether all panels are put away for now. */
  readonly bare: boolean;
  /** Values by what they are of: the last step of the path. */
  readonly values: ReadonlyMap<string, number>;
  readonly toggles: ReadonlySet<CommandId>;
  readonly held: readonly CommandId[];
  readonly dialog: Command | null;
  /** How the picture is looked at; x and y are how far it was slid, in CSS pixels. */
  readonly view: View;
  readonly jars: Jars;
  readonly layers: LayerStack;
};

/** What a command did to the desk, for people. */
export type Did =
  | { readonly kind: 'took'; readonly tool: string }
  | { readonly kind: 'showed'; readonly shown: boolean }
  | { readonly kind: 'set'; readonly what: string; readonly to: number }
  | { readonly kind: 'switched'; readonly on: boolean }
  | { readonly kind: 'opened' }
  | { readonly kind: 'holds' }
  | { readonly kind: 'looked' }
  | { readonly kind: 'did' };

const START_VALUE = 50;

/** A desk as the program starts: its first tool in hand, its panels arranged as in a workspace or as they come. */
export function freshDesk(program: Program, panels: Arrangement = factoryArrangement(program)): Desk {
  return {
    tool: program.commands.find((one) => one.kind === 'tool')?.id ?? null,
    before: null,
    panels,
    peeked: null,
    bare: false,
    values: new Map(),
    toggles: new Set(),
    held: [],
    dialog: null,
    view: { zoom: 1, turn: 0, mirrored: false, x: 0, y: 0 },
    jars: START_JARS,
    layers: START_LAYERS,
  };
}

/** Calls a command on the desk. */
export function callCommand(before: Desk, command: Command): { readonly desk: Desk; readonly did: Did } {
  const { id, kind, name } = command;
  // What was opened before makes way for what comes.
  const desk = { ...before, dialog: null };
  switch (kind) {
    case 'tool':
      return { desk: { ...desk, tool: id, before: desk.tool }, did: { kind: 'took', tool: name } };
    case 'panel':
      return showOrPutAway(desk, id);
    case 'held action':
      return {
        desk: desk.held.includes(id) ? desk : { ...desk, held: [...desk.held, id] },
        did: { kind: 'holds' },
      };
    case 'value':
      return setValue(desk, command);
    default:
      return callMenuItem(desk, command);
  }
}

/** Shows a panel that can't be seen, hides one that can; in a folded dock, beside the strip. */
function showOrPutAway(desk: Desk, id: CommandId): { desk: Desk; did: Did } {
  const { panels } = desk;
  const side = sideOf(panels, id);
  const did = (shown: boolean): Did => ({ kind: 'showed', shown });
  if (side !== null && side !== 'float' && panels.docks[side].fold !== 'open' && !panels.hidden.includes(id)) {
    const shown = desk.bare || desk.peeked !== id;
    return { desk: { ...desk, bare: false, peeked: shown ? id : null }, did: did(shown) };
  }
  // With all panels put away, one that is called comes back with them.
  if (desk.bare && isOnTop(panels, id)) return { desk: { ...desk, bare: false }, did: did(true) };
  const next = togglePanel(panels, id);
  return { desk: { ...desk, bare: false, panels: next }, did: did(isOnTop(next, id)) };
}

/** Lets go of a held action. */
export function letGo(desk: Desk, id: CommandId): Desk {
  return desk.held.includes(id) ? { ...desk, held: desk.held.filter((one) => one !== id) } : desk;
}

/** Slides the picture, in CSS pixels. */
export function slide(desk: Desk, x: number, y: number): Desk {
  return { ...desk, view: { ...desk.view, x: desk.view.x + x, y: desk.view.y + y } };
}

/** Looks at the picture from nearer or further away. */
export function zoomBy(desk: Desk, factor: number): Desk {
  const zoom = Math.min(MOST_ZOOM, Math.max(LEAST_ZOOM, desk.view.zoom * factor));
  return { ...desk, view: { ...desk.view, zoom } };
}

/** Whether the picture is slid by what is in hand or held. */
export function slides(desk: Desk, commands: ReadonlyMap<CommandId, Command>): boolean {
  return inHand(desk, commands).some((meanings) => meanings.includes('pan'));
}

/** Whether colors are picked from the picture by what is in hand or held. */
export function picks(desk: Desk, commands: ReadonlyMap<CommandId, Command>): boolean {
  return inHand(desk, commands).some((meanings) => meanings.includes('pick') && meanings.includes('color'));
}

function inHand({ tool, held }: Desk, commands: ReadonlyMap<CommandId, Command>): readonly (readonly Meaning[])[] {
  return [tool, ...held].flatMap((id) => {
    const command = id === null ? undefined : commands.get(id);
    return command ? [meaningsIn(command.name)] : [];
  });
}

/** Goes back to the tool before, as after a tool that was only held. */
export function backToTool(desk: Desk, tool: CommandId | null): Desk {
  return { ...desk, tool, before: desk.tool };
}

function toggled(set: ReadonlySet<CommandId>, id: CommandId, on: boolean): ReadonlySet<CommandId> {
  const next = new Set(set);
  if (on) next.add(id);
  else next.delete(id);
  return next;
}

/** A value says what it is set to by a number in its name, or goes up or down by a fifth. */
function setValue(desk: Desk, command: Command): { desk: Desk; did: Did } {
  const meanings = meaningsIn(command.name);
  const jars = changeJars(desk.jars, command);
  if (jars) return { desk: { ...desk, jars }, did: { kind: 'did' } };
  const what = command.path.at(-1) ?? command.name;
  const number = meanings.find((one) => one.startsWith('#'))?.slice(1);
  const now = desk.values.get(what) ?? START_VALUE;
  const up = meanings.includes('up=up');
  const down = meanings.includes('up=down');
  if (number === undefined && !up && !down) return { desk, did: { kind: 'did' } };
  const to = number === undefined ? Math.max(1, Math.round(now * (up ? 1.25 : 0.8))) : Number(number);
  return { desk: { ...desk, values: new Map(desk.values).set(what, to) }, did: { kind: 'set', what, to } };
}

const SWITCHES: ReadonlySet<Meaning> = new Set(
  'ruler grid guide snap proof gamut clipwarn fullscreen symmetry edge'.split(' '),
);
const DIALOGS: ReadonlySet<Meaning> = new Set(
  'levels curves exposure brightness contrast hue saturation balance posterize threshold map mixer settings info print port=out port=in open colorrange blur blur.feather sharpen noise lens resolution batch name workspace shortcut text.font spell'.split(
    ' ',
  ),
);

function callMenuItem(desk: Desk, command: Command): { desk: Desk; did: Did } {
  const meanings = meaningsIn(command.name);
  const says = (...wanted: readonly Meaning[]): boolean => wanted.every((one) => meanings.includes(one));
  const looks = (view: Partial<Desk['view']>): { desk: Desk; did: Did } => ({
    desk: { ...desk, view: { ...desk.view, ...view } },
    did: { kind: 'looked' },
  });
  if (says('io=in')) return looks({ zoom: Math.min(MOST_ZOOM, desk.view.zoom * 1.25) });
  if (says('io=out')) return looks({ zoom: Math.max(LEAST_ZOOM, desk.view.zoom * 0.8) });
  if (says('actualsize') || says('fit', 'view')) return looks({ zoom: 1, x: 0, y: 0 });
  if (says('reset', 'rotate')) return looks({ turn: 0 });
  if (says('rotate', 'view') && (says('lr=left') || says('lr=right')))
    return looks({ turn: desk.view.turn + (says('lr=left') ? -15 : 15) });
  if (says('flip', 'view')) return looks({ mirrored: !desk.view.mirrored });
  if (says('hidepanels')) return { desk: { ...desk, bare: !desk.bare }, did: { kind: 'switched', on: !desk.bare } };
  if (command.name.endsWith('…') || meanings.some((one) => DIALOGS.has(one)))
    return { desk: { ...desk, dialog: command }, did: { kind: 'opened' } };
  const layers = changeLayers(desk.layers, meanings);
  if (layers) return { desk: { ...desk, layers }, did: { kind: 'did' } };
  const showsMask = says('mask') && (says('view') || says('vis=show'));
  if (showsMask || (meanings.length > 0 && meanings.every((one) => SWITCHES.has(one)))) {
    const on = !desk.toggles.has(command.id);
    return { desk: { ...desk, toggles: toggled(desk.toggles, command.id, on) }, did: { kind: 'switched', on } };
  }
  return { desk, did: { kind: 'did' } };
}
