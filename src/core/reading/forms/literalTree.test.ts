import { describe, expect, it } from 'vitest';
import { readCommandList } from '../readCommandList';
import { literalTree } from './literalTree';
import type { Tree } from './tree';

/** A tree in plain words: lists in brackets, maps in braces. */
const plain = (tree: Tree | null): unknown =>
  tree === null
    ? null
    : tree.kind === 'text'
      ? tree.text
      : tree.kind === 'list'
        ? tree.items.map(plain)
        : Object.fromEntries(tree.entries.map(({ name, value }) => [name, plain(value)]));

describe('lists that a program has written out', () => {
  it.each([
    [
      'bare names, quotes of all kinds, commas at the end',
      "x = { a: 'b', \"c\": `d`, 'e f': [1, -2, g.h,], };",
      { a: 'b', c: 'd', 'e f': ['1', '-2', 'g.h'] },
    ],
    [
      'signs of equality, names in brackets, semicolons',
      "return { ['a b'] = 'c'; d = \"e\"; }",
      { 'a b': 'c', d: 'e' },
    ],
    ['comments of all kinds', 'x = [ // one\n "a", # two\n "b", /* three */ "c" -- four\n]', ['a', 'b', 'c']],
    ['quotes in quotes', 'x = [\'don\\\'t\', "say \\"so\\""]', ["don't", 'say "so"']],
    [
      'what is worked out',
      'x = { a: CTRL + "+K", b: fn(1, "," ), c: (d\n ? "e" : "f"), g: "h" }',
      { a: 'CTRL + "+K"', b: 'fn(1, "," )', c: '(d ? "e" : "f")', g: 'h' },
    ],
    ['several lists, each for itself', 'a = ["b"]; call({ c: "d" })', { '': { c: 'd' } }],
    ['nothing behind a name', 'x = { a: , b: "c" }', null],
    ['a quote that does not end', "x = ['a]", null],
    ['a bracket that does not end', "x = ['a', 'b'", null],
    ['names beside values without', 'x = ["a", b: "c"]', null],
    ['no list at all', 'x = 4; call("a")', null],
    ['brackets as deep as nobody writes them', `x = ${'['.repeat(80)}${']'.repeat(80)}`, null],
  ])('%s', (_, text, wanted) => {
    expect(plain(literalTree(text))).toEqual(wanted);
  });

  it('are told from sections, menus and lines that only look like records', () => {
    const told = (text: string) =>
      readCommandList(text).rows.flatMap(({ command }) =>
        command ? `${[...command.path, command.name].join(' › ')}: ${command.keys}` : [],
      );
    // Where one section of many has keys under such a word, sections are no names.
    expect(
      told('[desk]\nwidth=30\nname=Serif\n\n[keys]\nfold=Ctrl+K\nlift=F5\nkey=F6\n\n[shelf]\nsize=25\ntall=never\n'),
    ).toEqual(['keys › fold: Mod+K', 'keys › lift: F5', 'keys › key: F6']);
    const entry = (keys: string, name: string): string =>
      `<varlistentry><term>${keys}<menuchoice><guimenu>Sheet</guimenu><guimenuitem>${name}</guimenuitem></menuchoice></term><listitem><para>Does it.</para></listitem></varlistentry>`;
    const manual = (body: string): string =>
      `<?xml version="1.0"?><chapter><title>Menus</title><para>All.</para><para>Of them.</para><variablelist>${body}</variablelist></chapter>`;
    // A manual that tells of menus without any keys has its lists read as all others have.
    expect(told(manual(entry('', 'Fold') + entry('', 'Lift') + entry('', 'Trim')))).toEqual([]);
    // A number or two that begin a line by chance belong to the name.
    expect(told('1. of May (Ctrl+K)\nLift stain (Ctrl+L)\nFold sheet (F5)\nTrim edge (F6)\nWeigh (F7)\n')[0]).toBe(
      '1. of May: Mod+K',
    );
  });
});
