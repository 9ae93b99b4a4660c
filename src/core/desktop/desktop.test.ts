import { describe, expect, it } from 'vitest';
import { parseCanonical } from '../chord/parseChord';
import { inferForms } from '../keymap/inferForms';
import { keymapOf, rowsOf } from '../keymap/keymap';
import { formOf } from '../program/formOf';
import { DEFAULT_FORMS, FORMS } from '../program/program';
import { sampleProgram } from '../testing/sampleProgram';
import { DESKTOP_KEYS, DESKTOPS, isConvention } from './desktopKeys';
import { keepConventions } from './keepConventions';

describe('desktops', () => {
  it('list their keys as we write them, each with what it does in words that go on from the name', () => {
    for (const desktop of DESKTOPS) {
      expect(DESKTOP_KEYS[desktop].size).toBeGreaterThanOrEqual(30);
      for (const [chord, does] of DESKTOP_KEYS[desktop]) {
        expect([desktop, chord, parseCanonical(chord) !== null]).toEqual([desktop, chord, true]);
        expect(does).toMatch(/^[a-z]+s /);
      }
    }
  });

  it('share conventions that start as keepers, by keys and name together', () => {
    expect([isConvention('Mod+S', 'Save'), isConvention('Mod+S', 'Sort'), isConvention('Mod+Z', 'Step back')]).toEqual([
      true,
      false,
      true,
    ]);
    const factory = keymapOf([
      ['undo', 'Mod+Z'],
      ['undo', 'F2'],
      ['trim', 'Mod+X'],
    ]);
    const kept = keepConventions(sampleProgram.commands, factory);
    expect(rowsOf(kept)).toEqual([
      ['undo', 'Mod+Z', true],
      ['undo', 'F2'],
      ['trim', 'Mod+X'],
    ]);
    expect(keepConventions(sampleProgram.commands, kept)).toBe(kept);
  });
});

describe('the forms of keys', () => {
  it('are told apart by the first stroke', () => {
    const forms = ['W', 'Shift+W', 'Plus', 'F5', 'Shift+Home', 'Mod+W', 'Alt+F5', 'hold:Space', 'Mod+K S'].map(formOf);
    expect(forms).toEqual(['bare', 'bare', 'bare', 'named', 'named', 'modified', 'modified', 'held', 'modified']);
  });

  it('that a program takes are the usual ones and those its factory keys have', () => {
    const inferred = inferForms(
      sampleProgram.commands,
      keymapOf([
        ['trim', 'W'],
        ['clone', 'hold:Q'],
      ]),
    );
    expect(inferred['menu item']).toEqual(['bare', 'named', 'modified']);
    expect(inferred.tool).toEqual(FORMS);
    expect(inferred.panel).toEqual(DEFAULT_FORMS.panel);
  });
});
