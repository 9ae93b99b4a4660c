import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { canonicalText } from '../chord/chord';
import { buildClashIndex, programFacts, relation } from '../clash/clashIndex';
import { DESKTOP_KEYS } from '../desktop/desktopKeys';
import { fromProgramFile, type ProgramFile } from '../file/programFile';
import { chordOfEvent, heldModifiers } from '../keyboard/chordOfEvent';
import { keymapOf } from '../keymap/keymap';
import { isSentence } from '../testing/isSentence';
import { pressesOf } from '../testing/pressesOf';
import { anyKeymap, CHORDS, here, sampleProgram } from '../testing/sampleProgram';
import { plainWords } from '../text/sentence';
import { type Side, shownPanels, sideOf } from '../workspace/arrangement';
import { foldDock } from '../workspace/changePanels';
import { describeOutcome } from './describeOutcome';
import { backToTool, callCommand, type Did, freshDesk, letGo, slide, slides, zoomBy } from './desk';
import { nearestHeard } from './nearestHeard';
import { isHeard, type Listening, pressKeys } from './pressKeys';
import { SAMPLE_SIZE, samplePicture } from './samplePicture';

const facts = programFacts(sampleProgram);
const at = (focus: string, more: Partial<Listening> = {}): Listening => ({
  focus,
  types: false,
  tool: null,
  begun: null,
  ...more,
});
const press = (
  rows: Parameters<typeof keymapOf>[0],
  chord: string,
  listening: Listening = at('canvas'),
  shadow = false,
) => {
  const program = { ...sampleProgram, rules: { ...sampleProgram.rules, shadow } };
  return pressKeys(buildClashIndex(programFacts(program), keymapOf(rows), here.place), here, listening, chord);
};
const fired = (outcome: ReturnType<typeof press>): string =>
  outcome.kind === 'fired' ? outcome.command.id : outcome.kind;

describe('keys pressed in the stand-in program', () => {
  it('fire whoever hears them: here, and in the contexts around', () => {
    expect(fired(press([['trim', 'F5']], 'F5', at('list')))).toBe('trim');
    expect(fired(press([['dab', 'F5']], 'F5', at('canvas')))).toBe('dab');
    expect(fired(press([['dab', 'F5']], 'F5', at('list')))).toBe('not here');
    expect(fired(press([['dab', 'F5']], 'F5', at('everywhere')))).toBe('not here');
    expect(fired(press([], 'F5'))).toBe('nobody');
  });

  it('fire the narrower where the program lets it shadow, and nobody in a clash', () => {
    const rows = [
      ['trim', 'F5'],
      ['dab', 'F5'],
    ] as const;
    expect(fired(press(rows, 'F5', at('canvas'), true))).toBe('dab');
    expect(press(rows, 'F5', at('canvas'), true)).toMatchObject({ shadowed: [{ id: 'trim' }] });
    expect(fired(press(rows, 'F5', at('list'), true))).toBe('trim');
    expect(fired(press(rows, 'F5', at('canvas')))).toBe('clash');
  });

  it('go around among those who take turns, from the tool in hand', () => {
    const rows = [
      ['fill', 'S'],
      ['clone', 'S'],
      ['patch', 'S'],
    ] as const;
    const order: string[] = [];
    for (let tool: string | null = null, i = 0; i < 4; i++) {
      tool = fired(press(rows, 'S', at('canvas', { tool })));
      order.push(tool);
    }
    expect(order).toEqual(['clone', 'patch', 'fill', 'clone']);
  });

  it('begin and end sequences, go into text, stay with the program and the desktop', () => {
    const rows = [
      ['trim', 'Mod+K Mod+S'],
      ['undo', 'S'],
      ['open-row', 'Alt+Tab'],
    ] as const;
    expect(fired(press(rows, 'Mod+K'))).toBe('begun');
    expect(fired(press(rows, 'Mod+S', at('canvas', { begun: 'Mod+K' })))).toBe('trim');
    expect(fired(press(rows, 'Mod+Q', at('canvas', { begun: 'Mod+K' })))).toBe('nobody');
    expect(fired(press(rows, 'S', at('list', { types: true })))).toBe('typed');
    expect(fired(press([['open-row', 'S']], 'S', at('list', { types: true })))).toBe('open-row');
    expect(fired(press(rows, 'Escape'))).toBe('kept by the program');
    expect(fired(press(rows, 'Alt+Tab', at('list')))).toBe('taken by the desktop');
  });

  it('never fire somebody who does not hear them or does not have them, and never one of two that clash', () => {
    fc.assert(
      fc.property(
        anyKeymap,
        fc.constantFrom('everywhere', 'canvas', 'list'),
        fc.constantFrom(...CHORDS),
        fc.constantFrom(null, 'clone', 'patch', 'fill'),
        (keymap, focus, chord, tool) => {
          const index = buildClashIndex(facts, keymap, here.place);
          const outcome = pressKeys(index, here, at(focus, { tool }), chord);
          const hearing = (index.holders.get(here.place(chord)) ?? []).filter((one) =>
            isHeard(index, focus, one.command.context),
          );
          if (outcome.kind === 'fired') {
            expect(hearing.some((one) => one.command === outcome.command)).toBe(true);
            for (const one of hearing)
              if (one.command !== outcome.command) expect(relation(facts, one.command, outcome.command)).toBe('turns');
          }
          if (hearing.length === 0)
            expect(['nobody', 'not here', 'begun', 'kept by the program']).toContain(outcome.kind);
        },
      ),
      { numRuns: 500 },
    );
  });
});

const demo = join(import.meta.dirname, '../../../demo');
const programs = readdirSync(demo)
  .filter((name) => name !== 'draft.json' && name.endsWith('.json'))
  .map((name) => fromProgramFile(JSON.parse(readFileSync(join(demo, name), 'utf8')) as ProgramFile));

describe('the demo keymaps', () => {
  /** The chord of real presses: each stroke read off the event that its keys give. */
  const pressed = (chord: string): string => {
    const strokes = pressesOf(chord, here.keyboard).map((event) => {
      const read = chordOfEvent(event, here.keyboard, 'windows');
      const alone = { hold: false, strokes: [{ modifiers: heldModifiers(event, 'windows'), key: null }] };
      return canonicalText(read ?? alone).replace(/^hold:/, '');
    });
    return `${chord.startsWith('hold:') ? 'hold:' : ''}${strokes.join(' ')}`;
  };

  it('fire every binding pressed in its own context, turns and holds included, but for what the desktop takes', () => {
    let bindings = 0;
    for (const { program, factory, keymaps } of programs) {
      const own = programFacts(program);
      for (const keymap of [factory, ...keymaps.map((one) => one.keymap)]) {
        const index = buildClashIndex(own, keymap, here.place);
        for (const [id, list] of keymap.bindings)
          for (const { chord: bound } of list) {
            const command = own.commands.get(id);
            if (!command) continue;
            bindings++;
            const chord = pressed(bound);
            expect([bound, here.place(bound)]).toEqual([bound, chord]);
            // Turn by turn, until it is this one's.
            let tool: string | null = null;
            const seen = new Set<string>();
            for (;;) {
              const outcome = pressKeys(index, here, at(command.context, { tool }), chord);
              if (DESKTOP_KEYS.windows.has(here.place(chord))) {
                expect(outcome.kind).toBe('taken by the desktop');
                break;
              }
              expect([id, chord, outcome.kind]).toEqual([id, chord, 'fired']);
              tool = outcome.kind === 'fired' ? outcome.command.id : null;
              if (tool === id) break;
              expect(seen.has(tool ?? '')).toBe(false);
              seen.add(tool ?? '');
            }
          }
      }
    }
    expect(bindings).toBeGreaterThan(1500);
  });
});

describe('the sample picture', () => {
  it('is drawn within its size, in closed shapes', () => {
    const shapes = samplePicture();
    expect(shapes.length).toBeGreaterThan(20);
    for (const { path, fill } of shapes) {
      expect(path).toMatch(/^M[-\d.,LQ ]+Z$/);
      expect(fill).toMatch(/^#[0-9a-f]{6}$/);
      const numbers = [...path.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const);
      for (const [x, y] of numbers) {
        expect(x >= 0 && x <= SAMPLE_SIZE.width, `${x}`).toBe(true);
        expect(y >= 0 && y <= SAMPLE_SIZE.height, `${y}`).toBe(true);
      }
    }
  });
});

describe('the desk', () => {
  const program = programs.find((one) => one.program.name === 'Tarnlight')?.program ?? sampleProgram;
  const call = (name: string, desk = freshDesk(program)) => {
    const command = program.commands.find((one) => one.name === name);
    if (!command) throw new Error(name);
    return callCommand(desk, command);
  };

  it('takes tools in hand and goes back, shows panels, sets values, opens dialogs, switches, looks', () => {
    const clone = call('Patch');
    expect(clone.did).toEqual({ kind: 'took', tool: 'Patch' });
    expect(backToTool(clone.desk, clone.desk.before).tool).toBe(freshDesk(program).tool);
    const { id: first, name } = program.commands.find((one) => one.kind === 'panel') ?? { id: '', name: '' };
    const hidden = call(name);
    expect(hidden.did).toEqual({ kind: 'showed', shown: false });
    expect(shownPanels(hidden.desk.panels).has(first)).toBe(false);
    expect(call(name, hidden.desk).did).toEqual({ kind: 'showed', shown: true });
    expect(call('Opacity 40 %').did).toEqual({ kind: 'set', what: 'Opacity', to: 40 });
    const smaller = call('Smaller brush', call('Brush 120 px').desk);
    expect(smaller.did).toEqual({ kind: 'set', what: 'Brush size', to: 96 });
    expect(call('Levels').desk.dialog?.name).toBe('Levels');
    expect(call('Grid').did).toEqual({ kind: 'switched', on: true });
    expect(call('Step in').desk.view.zoom).toBeGreaterThan(1);
    expect(call('Turn view left').desk.view.turn).toBe(-15);
    expect(call('Clear desk').desk.bare).toBe(true);
    // In a folded dock a panel opens beside its strip.
    const fresh = freshDesk(program);
    const side = sideOf(fresh.panels, first) as Side;
    const folded = { ...fresh, panels: foldDock(fresh.panels, side, 'icons') };
    expect(call(name, folded).desk.peeked).toBe(first);
    expect(call(name, call(name, folded).desk).desk.peeked).toBe(null);
    const held = call('Slide the sheet').desk;
    expect(held.held).toHaveLength(1);
    // What slides the picture while it is held lets it go again; fitting it brings it back.
    const commands = new Map(program.commands.map((one) => [one.id, one]));
    expect([slides(held, commands), slides(letGo(held, held.held[0] ?? ''), commands)]).toEqual([true, false]);
    expect(call('Full sheet', zoomBy(slide(held, 30, -12), 20)).desk.view).toMatchObject({ zoom: 1, x: 0, y: 0 });
    expect(zoomBy(slide(held, 30, -12), 20).view).toMatchObject({ zoom: 8, x: 30, y: -12 });
    expect(letGo(held, held.held[0] ?? '').held).toEqual([]);
  });
});

describe('the ticker', () => {
  const words = (rows: Parameters<typeof keymapOf>[0], chord: string, listening = at('canvas')) => {
    const index = buildClashIndex(facts, keymapOf(rows), here.place);
    const outcome = pressKeys(index, here, listening, chord);
    return plainWords(describeOutcome(outcome, null, (one) => one, nearestHeard(index, here, listening.focus, chord)));
  };

  it('says what fired and from where, or why nothing did and what is nearest', () => {
    expect(words([['trim', 'F5']], 'F5')).toBe('Trim heard everywhere.');
    expect(words([['trim', 'Alt+W']], 'W')).toBe('Nothing: nobody has these keys. Nearest: Alt+W Trim.');
    expect(words([['dab', 'F5']], 'F5', at('list'))).toBe('Nothing here: Dab is heard only canvas.');
    expect(
      words(
        [
          ['trim', 'F5'],
          ['undo', 'F5'],
        ],
        'F5',
      ),
    ).toBe('Nothing: Undo and Trim clash on these keys, and nobody knows which would answer.');
  });

  it('says what came of it on the desk, who takes turns, who would have been next', () => {
    const rows: Parameters<typeof keymapOf>[0] = [
      ['clone', 'S'],
      ['patch', 'S'],
      ['dab', 'F5'],
      ['trim', 'F5'],
      ['lift-stain', 'Mod+K Mod+L'],
      ['undo', 'Alt+Tab'],
    ];
    const told = (chord: string, did: Did | null, listening = at('canvas')): string =>
      plainWords(describeOutcome(press(rows, chord, listening, true), did, (one) => `in the ${one}`, []));
    expect(told('S', { kind: 'took', tool: 'clone' })).toBe(
      'Clone is in hand, heard in the everywhere, in turn with Patch.',
    );
    const dids: readonly (readonly [Did, string])[] = [
      [{ kind: 'showed', shown: true }, ' is shown,'],
      [{ kind: 'showed', shown: false }, ' is put away,'],
      [{ kind: 'set', what: 'Opacity', to: 40 }, ': Opacity 40,'],
      [{ kind: 'switched', on: true }, ' is on,'],
      [{ kind: 'switched', on: false }, ' is off,'],
      [{ kind: 'opened' }, ' opened,'],
      [{ kind: 'holds' }, ' while held,'],
      [{ kind: 'looked' }, ' changed the view,'],
      [{ kind: 'did' }, ','],
    ];
    for (const [did, words] of dids) expect(told('F5', did)).toBe(`Dab${words} heard in the canvas, before Trim.`);
    expect(told('Mod+K', null)).toBe('Begins a sequence. Then Mod+L Lift stain.');
    expect(told('S', null, at('canvas', { types: true }))).toBe('Typed into the text.');
    expect(told('Escape', null)).toBe('The program keeps these keys: it leaves a tool.');
    expect(told('Alt+Tab', null)).toMatch(/^The desktop .+, before any program hears it\. Undo would have heard it\.$/);
  });

  it('is a sentence, whatever is pressed in whatever keymap', () => {
    fc.assert(
      fc.property(
        anyKeymap,
        fc.constantFrom('everywhere', 'canvas', 'list'),
        fc.constantFrom(...CHORDS, 'Alt+Tab', 'Q', 'Mod+K'),
        (keymap, focus, chord) => {
          const index = buildClashIndex(facts, keymap, here.place);
          const outcome = pressKeys(index, here, at(focus), chord);
          const near = nearestHeard(index, here, focus, chord);
          const said = plainWords(describeOutcome(outcome, null, (one) => one, near));
          expect(said).toSatisfy(isSentence);
          if (outcome.kind === 'fired') expect(said).toContain(outcome.command.name);
          for (const one of outcome.kind === 'nobody' ? near : []) expect(said).toContain(one.command.name);
        },
      ),
    );
  });
});
