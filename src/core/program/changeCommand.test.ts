import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sampleProgram } from '../testing/sampleProgram';
import { changeCommand, placeCommand } from './changeCommand';
import { type Command, KINDS } from './program';

const { commands } = sampleProgram;
const command = (id: string, path: string[]): Command => ({
  id,
  name: id,
  kind: 'script',
  path,
  context: 'everywhere',
});
const ids = (list: readonly Command[]) => list.map((one) => one.id);

describe('a command changed by hand', () => {
  it.each([
    ['one more of a menu', ['Repair'], 'trim'],
    ['one in a part of a menu that is new', ['Brush', 'Wet'], 'smear'],
    ['one of a new menu', ['Scripts'], 'fill'],
    ['one of no menu', [], 'fill'],
  ])('%s stands after the last of it', (_, path, last) => {
    const list = ids(placeCommand(commands, command('own', path)));
    expect(list[list.indexOf('own') - 1]).toBe(last);
    expect(list.filter((one) => one !== 'own')).toEqual(ids(commands));
  });
  it('stands first in an empty list', () => {
    expect(ids(placeCommand([], command('own', ['A'])))).toEqual(['own']);
  });
  it.each([
    [{ name: 'Cut edges' }, 'Renamed: Trim, now Cut edges', 'undo'],
    [{ path: ['Brush'] }, 'Moved: Trim, to Brush', 'smear'],
    [{ path: [] }, 'Moved: Trim, to no menu', 'fill'],
    [{ kind: 'tool' as const }, 'Trim is now a tool', 'undo'],
    [{ context: 'canvas' }, 'Trim is listened for elsewhere', 'undo'],
    [{ name: 'Cut edges', kind: 'tool' as const }, 'Corrected: Trim, now Cut edges', 'undo'],
    [{ kind: 'tool' as const, context: 'canvas' }, 'Corrected: Trim', 'undo'],
  ])('%j is said as %s', (values, title, after) => {
    const made = changeCommand(commands, 'trim', values);
    const list = ids(made.commands);
    expect([made.title, list[list.indexOf('trim') - 1]]).toEqual([title, after]);
    expect(made.commands.find((one) => one.id === 'trim')).toMatchObject(values);
  });
  it('leaves all others as they are, and a list that does not have it', () => {
    const values = fc.record(
      { name: fc.string(), path: fc.array(fc.constantFrom('Repair', 'Brush', 'New')), kind: fc.constantFrom(...KINDS) },
      { requiredKeys: [] },
    );
    fc.assert(
      fc.property(fc.constantFrom(...ids(commands)), values, (id, given) => {
        const others = (list: readonly Command[]) => list.filter((one) => one.id !== id);
        const made = changeCommand(commands, id, given);
        expect(others(made.commands)).toEqual(others(commands));
        expect(made.commands).toHaveLength(commands.length);
        expect(made.title.length).toBeLessThanOrEqual(200);
      }),
    );
    expect(changeCommand(commands, 'nobody', { name: 'x' })).toEqual({ commands, title: '' });
  });
});
