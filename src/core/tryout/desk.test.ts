import { describe, expect, it } from 'vitest';
import { type Command, DEFAULT_RULES, EVERYWHERE, type Kind, type Program } from '../program/program';
import { backToTool, callCommand, type Desk, freshDesk, letGo, picks, slide, slides, zoomBy } from './desk';
import { changeJars, START_JARS } from './jars';
import { PAPER } from './samplePicture';

const command = (name: string, kind: Kind = 'menu item', path: readonly string[] = ['Look']): Command => ({
  id: name.toLowerCase().replaceAll(' ', '-'),
  ...{ name, kind, path, context: 'everywhere' },
});
const PROGRAM: Program = {
  ...{ name: 'Walk', version: '1', contexts: [EVERYWHERE], rules: DEFAULT_RULES },
  commands: [
    ...['Dust brush', 'Stain brush', 'Pick color', 'Slide the sheet'].map((one) => command(one, 'tool', ['Tools'])),
    ...['Layers', 'Finds', 'Histogram', 'Notes'].map((one) => command(one, 'panel', ['Panels'])),
  ],
};
const byId = new Map(PROGRAM.commands.map((one) => [one.id, one]));
const fresh = freshDesk(PROGRAM);
const call = (name: string, desk: Desk = fresh, kind: Kind = 'menu item', path?: readonly string[]) =>
  callCommand(desk, command(name, kind, path));

describe('the desk', () => {
  it.each<readonly [name: string, view: Partial<Desk['view']>]>([
    ['Zoom in', { zoom: 1.25 }],
    ['Zoom out', { zoom: 0.8 }],
    ['Turn view left', { turn: -15 }],
    ['Turn view right', { turn: 15 }],
    ['Flip view', { mirrored: true }],
  ])('is looked at otherwise by “%s”', (name, view) => {
    const { desk, did } = call(name);
    expect([desk.view, did]).toEqual([{ ...fresh.view, ...view }, { kind: 'looked' }]);
  });

  it('comes back to how it lay: to its size, upright, as it was', () => {
    const far = ['Zoom in', 'Zoom in', 'Turn view left', 'Flip view'].reduce(
      (desk, name) => call(name, desk).desk,
      slide(fresh, 40, -10),
    );
    expect(far.view).toEqual({ zoom: 1.5625, turn: -15, mirrored: true, x: 40, y: -10 });
    expect(call('Actual size', far).desk.view).toMatchObject({ zoom: 1, x: 0, y: 0, turn: -15 });
    expect(call('Reset rotation', far).desk.view.turn).toBe(0);
    expect(call('Flip view', far).desk.view.mirrored).toBe(false);
    // No nearer and no further than a picture can be seen.
    const nearest = Array.from({ length: 40 }).reduce<Desk>((desk) => call('Zoom in', desk).desk, fresh);
    expect([zoomBy(nearest, 2).view.zoom, call('Zoom in', nearest).desk.view.zoom]).toEqual([
      nearest.view.zoom,
      nearest.view.zoom,
    ]);
    expect(zoomBy(fresh, 0.000_1).view.zoom).toBeGreaterThan(0);
  });

  it('takes tools, and goes back to the one before', () => {
    const [first, second] = [call('Dust brush', fresh, 'tool').desk, call('Dust brush', fresh, 'tool')];
    const next = call('Stain brush', first, 'tool');
    expect([next.desk.tool, next.desk.before, next.did]).toEqual([
      'stain-brush',
      'dust-brush',
      { kind: 'took', tool: 'Stain brush' },
    ]);
    expect(backToTool(next.desk, next.desk.before)).toMatchObject({ tool: 'dust-brush', before: 'stain-brush' });
    expect(second.did).toEqual({ kind: 'took', tool: 'Dust brush' });
    expect([picks(call('Pick color', fresh, 'tool').desk, byId), picks(next.desk, byId)]).toEqual([true, false]);
    expect([slides(call('Slide the sheet', fresh, 'tool').desk, byId), slides(next.desk, byId)]).toEqual([true, false]);
    expect(slides({ ...next.desk, held: ['slide-the-sheet'] }, byId)).toBe(true);
  });

  it('holds what acts while held, once, until it is let go', () => {
    const held = call('Slide', fresh, 'held action');
    expect([held.desk.held, held.did]).toEqual([['slide'], { kind: 'holds' }]);
    expect(call('Slide', held.desk, 'held action').desk.held).toEqual(['slide']);
    expect(letGo(held.desk, 'slide').held).toEqual([]);
    expect(letGo(held.desk, 'other')).toBe(held.desk);
  });

  it('opens what asks, and puts it away for whatever comes next', () => {
    const opened = call('Curves…');
    expect([opened.desk.dialog?.name, opened.did]).toEqual(['Curves…', { kind: 'opened' }]);
    expect(call('Levels').desk.dialog?.name).toBe('Levels');
    expect(call('Zoom in', opened.desk).desk.dialog).toBeNull();
  });

  it('switches what is on or off, panels as a whole, and shows them one by one', () => {
    const grid = call('Grid');
    expect([[...grid.desk.toggles], grid.did]).toEqual([['grid'], { kind: 'switched', on: true }]);
    expect([...call('Grid', grid.desk).desk.toggles]).toEqual([]);
    const bare = call('Hide panels');
    expect([bare.desk.bare, bare.did]).toEqual([true, { kind: 'switched', on: true }]);
    // One that is called comes back with all of them.
    const [layers] = PROGRAM.commands.filter((one) => one.kind === 'panel');
    const back = callCommand(bare.desk, layers as Command);
    expect([back.desk.bare, back.did]).toEqual([false, { kind: 'showed', shown: true }]);
    const away = callCommand(back.desk, layers as Command);
    expect(away.did).toEqual({ kind: 'showed', shown: false });
    expect(callCommand(away.desk, layers as Command).did).toEqual({ kind: 'showed', shown: true });
  });

  it('sets what a value says: to its number, up and down by a step, else nothing', () => {
    const size = ['Brush', 'Size'];
    expect(call('Brush 120 px', fresh, 'value', size).did).toEqual({ kind: 'set', what: 'Size', to: 120 });
    const up = call('Larger brush', fresh, 'value', size);
    const down = call('Smaller brush', up.desk, 'value', size);
    const of = (desk: Desk): number => desk.values.get('Size') ?? 0;
    expect(of(up.desk)).toBeGreaterThan(of(down.desk));
    expect(down.did).toEqual({ kind: 'set', what: 'Size', to: of(down.desk) });
    const least = Array.from({ length: 60 }).reduce<Desk>(
      (desk) => call('Smaller brush', desk, 'value', size).desk,
      fresh,
    );
    expect(of(least)).toBeGreaterThanOrEqual(1);
    expect(call('Odd one', fresh, 'value', size)).toEqual({ desk: fresh, did: { kind: 'did' } });
  });

  it.each<readonly [name: string, at: number, color: string | null]>([
    ['Swap colors', 1, null],
    ['Next jar', 1, null],
    ['Last color', START_JARS.colors.length - 1, null],
    ['Ink color', 0, null],
    ['Color from the paper', 0, PAPER],
    ['White color', 0, PAPER],
    ['Odd color', 0, START_JARS.colors[0] ?? ''],
  ])('has the jars of color as “%s” says', (name, at, color) => {
    const jars = changeJars(START_JARS, { name, path: ['Colors'] });
    expect([jars?.at, jars?.colors[0]]).toEqual([at, color ?? START_JARS.colors[0]]);
    expect(changeJars(START_JARS, { name: 'Brush size', path: ['Brush'] })).toBeNull();
  });

  it('makes the color in hand lighter and darker, a step at a time, and no lighter than white', () => {
    const step = (name: string, jars = START_JARS) => changeJars(jars, { name, path: ['Colors'] }) ?? jars;
    const light = step('Lighter color');
    expect(Number.parseInt(light.colors[0]?.slice(1) ?? '', 16)).toBeGreaterThan(
      Number.parseInt(START_JARS.colors[0]?.slice(1) ?? '', 16),
    );
    expect(light.colors.slice(1)).toEqual(START_JARS.colors.slice(1));
    const white = Array.from({ length: 80 }).reduce<typeof START_JARS>(
      (jars) => step('Lighter color', jars),
      START_JARS,
    );
    expect(white.colors[0]).toMatch(/^#f[c-f]f[c-f]f[c-f]$/);
    expect(step('Darker color', light).colors[0]).not.toBe(light.colors[0]);
  });
});
