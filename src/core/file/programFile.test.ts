import { readdirSync, readFileSync } from 'node:fs';
import Ajv2020 from 'ajv/dist/2020';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { buildClashIndex, findClashes, programFacts } from '../clash/clashIndex';
import { keepConventions } from '../desktop/keepConventions';
import { EMPTY_KEYMAP, keymapOf, rowsOf } from '../keymap/keymap';
import { anyKeymap, here, sampleProgram } from '../testing/sampleProgram';
import { InconsistentFile } from './keymapFile';
import { fromProgramFile, type ProgramFile, toProgramFile } from './programFile';
import { fromWorkspaceFile, toWorkspaceFile, type WorkspaceFile } from './workspaceFile';

const schema = JSON.parse(readFileSync('docs/program-file.schema.json', 'utf8'));
const ajv = new Ajv2020({ allErrors: true, strictTypes: false, formats: { 'date-time': true } });
const valid = ajv.compile(schema);
const validWorkspaces = ajv.compile(JSON.parse(readFileSync('docs/workspace-file.schema.json', 'utf8')));
const demo = readdirSync('demo').filter((name) => name !== 'draft.json' && name.endsWith('.json'));

describe('a program file', () => {
  it('carries any program and keymaps out and in, as the published schema says', () => {
    fc.assert(
      fc.property(anyKeymap, anyKeymap, (came, keymap) => {
        const factory = { ...keepConventions(sampleProgram.commands, came), spares: new Set<string>() };
        const file = toProgramFile({ program: sampleProgram, factory, keymaps: [{ name: 'Mine', owner: '', keymap }] });
        expect(valid(file)).toBe(true);
        const read = fromProgramFile(JSON.parse(JSON.stringify(file)) as ProgramFile);
        expect(rowsOf(read.factory).sort()).toEqual(rowsOf(factory).sort());
        const mine = read.keymaps[0]?.keymap ?? EMPTY_KEYMAP;
        expect([rowsOf(mine).sort(), [...mine.spares].sort()]).toEqual([
          rowsOf(keymap).sort(),
          [...keymap.spares].sort(),
        ]);
        expect(read.program).toEqual(sampleProgram);
      }),
    );
  });

  it('can be read though a keymap has keys and spares of commands that are no longer on the list', () => {
    const keymap = keymapOf([['gone', 'F9']], ['gone']);
    const program = { program: sampleProgram, factory: EMPTY_KEYMAP, keymaps: [{ name: 'Mine', owner: '', keymap }] };
    const read = fromProgramFile(JSON.parse(JSON.stringify(toProgramFile(program))) as ProgramFile);
    expect(read.keymaps[0]?.keymap).toEqual(EMPTY_KEYMAP);
  });

  it.each(demo)('the demo’s %s is valid, at full size, and none of its keymaps holds a clash', (name) => {
    const file = JSON.parse(readFileSync(`demo/${name}`, 'utf8')) as ProgramFile;
    expect(valid(file) ? [] : valid.errors).toEqual([]);
    const { program, factory, keymaps } = fromProgramFile(file);
    const facts = programFacts(program);
    const { place } = here;
    for (const one of [{ keymap: factory }, ...keymaps]) {
      expect(findClashes(buildClashIndex(facts, one.keymap, place)).map((clash) => clash.chord)).toEqual([]);
    }
    expect(program.commands.length).toBeGreaterThanOrEqual(250);
  });

  it('carries workspaces out and in, with the program or alone with the keymap that belongs to them', () => {
    const {
      program,
      factory,
      keymaps,
      workspaces = [],
    } = fromProgramFile(JSON.parse(readFileSync('demo/tarnlight.json', 'utf8')) as ProgramFile);
    expect(workspaces.map((one) => Object.keys(one.contents).length)).toEqual([4, 2, 3]);
    const again = fromProgramFile(toProgramFile({ program, factory, keymaps, workspaces }));
    expect(again.workspaces).toEqual(workspaces);
    const own = keymaps.filter((one) => one.name === workspaces[0]?.keymap);
    const file = toWorkspaceFile(program, factory, workspaces.slice(0, 1), own);
    expect(validWorkspaces(file) ? [] : validWorkspaces.errors).toEqual([]);
    const read = fromWorkspaceFile(JSON.parse(JSON.stringify(file)) as WorkspaceFile, program, factory);
    expect(read.workspaces).toEqual(workspaces.slice(0, 1));
    expect(read.keymaps.map((one) => rowsOf(one.keymap).sort())).toEqual(own.map((one) => rowsOf(one.keymap).sort()));
  });

  it('marks the desktop-wide conventions as keepers where it says nothing of keepers itself', () => {
    const file = toProgramFile({
      program: sampleProgram,
      factory: keymapOf([
        ['undo', 'Mod+Z'],
        ['trim', 'Mod+S'],
      ]),
      keymaps: [],
    });
    expect(rowsOf(fromProgramFile(file).factory)).toEqual([
      ['undo', 'Mod+Z', true],
      ['trim', 'Mod+S'],
    ]);
    const own = toProgramFile({
      program: sampleProgram,
      factory: keymapOf([
        ['undo', 'Mod+Z'],
        ['trim', 'F2', true],
      ]),
      keymaps: [],
    });
    expect(rowsOf(fromProgramFile(own).factory)).toContainEqual(['undo', 'Mod+Z']);
  });

  it('is refused where it speaks of what it does not have', () => {
    const file = toProgramFile({ program: sampleProgram, factory: EMPTY_KEYMAP, keymaps: [] });
    const wrong: ProgramFile[] = [
      { ...file, keymaps: [{ name: 'x', owner: '', bindings: { 'no-such': ['F2'] } }] },
      { ...file, program: { ...file.program, contexts: [] } },
      {
        ...file,
        program: { ...file.program, contexts: [...file.program.contexts, { id: 'a', name: 'a', parent: 'lost' }] },
      },
    ];
    for (const one of wrong) expect(() => fromProgramFile(one)).toThrow(InconsistentFile);
  });
});
