import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fromProgramFile, type ProgramFile } from '../file/programFile';
import { meaningsIn } from '../words/meanings';
import { callCommand, type Desk, freshDesk, picks } from './desk';
import { fillJar, START_JARS } from './jars';
import { changeLayers, type LayerStack, START_LAYERS, shownParts } from './layerStack';
import { type Happened, type PanelContents, panelContents } from './panelContents';
import { colorAt, grayOf, mainColors, tonesOf } from './readPicture';
import { PAPER, PARTS, SAMPLE_SIZE, samplePicture } from './samplePicture';

const programs = ['tarnlight', 'nibshore', 'quillmoor'].map(
  (name) => fromProgramFile(JSON.parse(readFileSync(`demo/${name}.json`, 'utf8')) as ProgramFile).program,
);
const [tarnlight] = programs as [(typeof programs)[0], ...typeof programs];
const named = (name: string) => {
  const found = tarnlight.commands.find((one) => one.name === name);
  if (!found) throw new Error(`No ${name}.`);
  return found;
};
const all = new Set(PARTS);
const deskAfter = (...names: readonly string[]): Desk =>
  names.reduce((desk, name) => callCommand(desk, named(name)).desk, freshDesk(tarnlight));
const shows = (panel: string, more: Partial<Happened> = {}): PanelContents =>
  panelContents(named(panel), tarnlight, {
    desk: freshDesk(tarnlight),
    called: [],
    pointer: null,
    typed: '',
    ...more,
  });

describe('the sample picture', () => {
  it('is read where it is drawn: paper, stem, leaf, petal, and nothing where its corner is cut away', () => {
    const fills = (part: string) => new Set(samplePicture().flatMap((one) => (one.part === part ? [one.fill] : [])));
    expect(colorAt(20, 20, all)).toBe(PAPER);
    expect(fills('stem')).toContain(colorAt(211, 274, all));
    expect(fills('leaves')).toContain(colorAt(175, 230, all));
    expect(fills('petals')).toContain(colorAt(246, 32, all));
    expect(colorAt(246, 32, new Set(['stem', 'leaves']))).toBe(PAPER);
    expect([colorAt(418, 3, all), colorAt(-1, 5, all), colorAt(5, SAMPLE_SIZE.height, all)]).toEqual([
      null,
      null,
      null,
    ]);
  });

  it('has its tones where its colors are, the paper the brightest and most', () => {
    const tones = tonesOf(all);
    expect(tones[Math.round(grayOf(PAPER) * (tones.length - 1))]).toBe(1);
    expect(tones[Math.round(grayOf('#6b6a45') * (tones.length - 1))]).toBeGreaterThan(0);
    expect(
      tonesOf(new Set())
        .slice(0, 20)
        .every((one) => one < 0.01),
    ).toBe(true);
    expect(mainColors(all, 3)).toHaveLength(3);
    expect(mainColors(all, 3)[0]).toBe(PAPER);
  });
});

describe('layers', () => {
  const said = (name: string) => changeLayers(START_LAYERS, meaningsIn(name));
  const names = (stack: LayerStack | null) => stack?.layers.map((one) => one.name);

  it('come, go, move, join and hide by what commands are called, in every program', () => {
    expect(names(said('New layer'))).toEqual(['Petals', 'Layer 5', 'Leaves', 'Stem', 'Sheet']);
    expect(names(said('Duplicate layer'))).toEqual(['Petals', 'Leaves copy', 'Leaves', 'Stem', 'Sheet']);
    expect(names(said('Delete layer'))).toEqual(['Petals', 'Stem', 'Sheet']);
    expect(names(said('Raise layer'))).toEqual(['Leaves', 'Petals', 'Stem', 'Sheet']);
    expect(names(said('Lower layer'))).toEqual(['Petals', 'Stem', 'Leaves', 'Sheet']);
    expect([said('Layer above')?.at, said('Layer below')?.at]).toEqual([0, 2]);
    expect(said('Merge down')?.layers[1]).toMatchObject({ name: 'Stem', parts: ['leaves', 'stem'] });
    expect(names(said('Merge shown'))).toEqual(['Sheet']);
    expect([...shownParts(said('Hide layer') as LayerStack)]).toEqual(['petals', 'stem']);
    expect([...shownParts(said('Show only this') as LayerStack)]).toEqual(['leaves']);
    expect(said('Lock layer')?.layers[1]?.locked).toBe(true);
    expect(said('Curves')).toBe(null);
  });

  it('are never none, and one of them is always chosen, whatever is called', () => {
    const commands = programs.flatMap((one) => one.commands.filter((command) => command.path[0] === 'Layer'));
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...commands), { maxLength: 30 }), (called) => {
        const stack = called.reduce((at, one) => changeLayers(at, meaningsIn(one.name)) ?? at, START_LAYERS);
        expect(stack.layers[stack.at]).toBeDefined();
        expect(new Set(stack.layers.map((one) => one.number)).size).toBe(stack.layers.length);
      }),
    );
  });
});

describe('jars of color', () => {
  it('are taken in turn, filled, made lighter and darker', () => {
    const start = START_JARS.colors[0] ?? '';
    expect(deskAfter('Next jar').jars.at).toBe(1);
    expect(deskAfter('Next jar', 'Ink and paper').jars.at).toBe(0);
    expect(grayOf(deskAfter('Lighter color').jars.colors[0] ?? '')).toBeGreaterThan(grayOf(start));
    expect(grayOf(deskAfter('Lighter color', 'Darker color').jars.colors[0] ?? '')).toBeLessThan(
      grayOf(deskAfter('Lighter color').jars.colors[0] ?? ''),
    );
    expect(deskAfter('Jar from paper').jars.colors[0]).toBe(PAPER);
    expect(fillJar(START_JARS, '#123456').colors).toEqual(['#123456', ...START_JARS.colors.slice(1)]);
    const commands = new Map(tarnlight.commands.map((one) => [one.id, one]));
    expect([picks(deskAfter('Pick color'), commands), picks(deskAfter('Clone'), commands)]).toEqual([true, false]);
  });
});

describe('panels', () => {
  it('tell something in every program, from the start', () => {
    const empty = programs.flatMap((program) =>
      program.commands
        .filter((one) => one.kind === 'panel')
        .filter((one) => {
          const shown = panelContents(one, program, {
            desk: freshDesk(program),
            called: [],
            pointer: null,
            typed: '',
          });
          if (shown.kind === 'lines') return shown.lines.length === 0;
          return shown.kind === 'facts' && shown.facts.length === 0;
        }),
    );
    expect(empty).toEqual([]);
  });

  it('follow what is done: layers, steps, sizes, colors, finds, the pointer, what was typed', () => {
    expect(shows('Layers', { desk: deskAfter('New layer') })).toMatchObject({ kind: 'layers', at: 1 });
    expect(shows('History', { called: ['Curves', 'Levels'] })).toEqual({
      kind: 'lines',
      lines: ['Curves', 'Levels', 'Opened the sheet'],
    });
    expect(shows('Pen and brush', { desk: deskAfter('Brush 120 px') })).toMatchObject({ kind: 'brush', size: 120 });
    expect(shows('Swatches')).toMatchObject({ kind: 'colors', inHand: START_JARS.colors[0] });
    expect(shows('Finds', { called: ['Find foxing', 'Find foxing'] })).toMatchObject({
      facts: expect.arrayContaining([
        ['Foxing', '2 ×'],
        ['Stains', '–'],
      ]),
    });
    expect(shows('Readout')).toEqual({ kind: 'facts', facts: [['Pointer', 'not over the sheet']] });
    expect(shows('Readout', { pointer: { x: 20.4, y: 30 } })).toEqual({
      kind: 'facts',
      facts: [
        ['Across', '20 mm'],
        ['Down', '30 mm'],
        ['Color', PAPER],
        ['Tone', '5 % gray'],
      ],
    });
    expect(shows('Label reader', { typed: 'Bank 7' })).toMatchObject({
      facts: expect.arrayContaining([['Text', 'Bank 7']]),
    });
    // What a layer hides is gone from the readings too.
    const petal = (contents: PanelContents) =>
      contents.kind === 'facts' ? contents.facts.find(([what]) => what === 'Petal')?.[1] : '';
    const hidden = deskAfter('Layer above', 'Hide layer');
    expect(petal(shows('Card check', { desk: hidden }))).not.toBe(petal(shows('Card check')));
    expect(shows('Plates in tray', { desk: hidden })).toMatchObject({ shown: new Set(['stem', 'leaves']) });
    const tones = (desk: Desk) => shows('Histogram', { desk });
    expect(tones(hidden)).not.toEqual(tones(freshDesk(tarnlight)));
  });
});
