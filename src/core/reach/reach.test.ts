import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { canonicalText, MODIFIERS, press } from '../chord/chord';
import type { ShapeName } from '../keyboard/keyboard';
import { whereOf } from '../keyboard/where';
import { isSentence } from '../testing/isSentence';
import { here } from '../testing/sampleProgram';
import { plainWords } from '../text/sentence';
import { compareReach, describeReach } from './describeReach';
import { HANDS, type Hand } from './hand';
import { reachOf } from './reachOf';

const pairs = readFileSync(join(import.meta.dirname, 'fixtures/easier.tsv'), 'utf8')
  .split('\n')
  .filter((line) => line !== '' && !line.startsWith('#'))
  .map((line) => line.split('\t') as [Hand, ShapeName, string, string, string, string]);

describe('reach', () => {
  it('orders chords as people do', () => {
    const wrong = pairs
      .map(([hand, shape, layout, easier, harder, why]) => {
        const reach = reachOf(whereOf({ shape, size: 'full', layout }), hand);
        const [a, b] = [reach(easier), reach(harder)];
        return a.hands !== 'none' && b.hands !== 'none' && a.figure < b.figure
          ? ''
          : `${hand} ${layout}: ${easier} (${a.figure.toFixed(3)} ${a.hands}) before ${harder} (${b.figure.toFixed(3)} ${b.hands}), ${why}`;
      })
      .filter((line) => line !== '');
    expect(wrong).toEqual([]);
    expect(pairs.length).toBeGreaterThanOrEqual(60);
    expect(new Set(pairs.map(([hand]) => hand)).size).toBe(2);
    expect(new Set(pairs.map(([, shape, layout]) => `${shape} ${layout}`)).size).toBe(2);
  });

  it('is a figure from 0 to 1, and one more key held never makes it easier', () => {
    const keys = here.keyboard.keys.filter((key) => key.levels.length > 0);
    const anyKey = fc.constantFrom(...keys.map((key) => key.name));
    fc.assert(
      fc.property(
        fc.constantFrom(...HANDS),
        anyKey,
        fc.subarray(['Mod', 'Alt', 'Shift'] as const),
        (hand, key, mods) => {
          const reach = reachOf(here, hand);
          const { figure, touches } = reach(canonicalText(press(mods, key)));
          expect(figure).toBeGreaterThanOrEqual(0);
          expect(figure).toBeLessThan(1);
          expect(touches).toHaveLength(mods.length + 1);
          expect(new Set(touches.map((one) => `${one.hand} ${one.finger}`)).size).toBe(touches.length);
          for (const more of MODIFIERS.filter((one) => one !== 'Ctrl' && !(mods as string[]).includes(one)))
            expect(reach(canonicalText(press([...mods, more], key))).figure).toBeGreaterThan(figure);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('knows where Command lies on a Mac, that AltGr is not Alt, and that some keys are missing', () => {
    const mac = reachOf(whereOf({ shape: 'ansi', size: 'full', layout: 'us' }, 'mac'), 'left');
    expect(mac('Mod+C').touches[0]).toEqual({ code: 'AltLeft', hand: 'left', finger: 0 });
    const german = reachOf(whereOf({ shape: 'iso', size: 'full', layout: 'de' }), 'right');
    expect(german('Alt+L').touches.map((one) => one.code)).not.toContain('AltRight');
    const compact = reachOf(whereOf({ shape: 'ansi', size: 'compact', layout: 'us' }), 'left');
    expect(compact('F5')).toMatchObject({ figure: 1, hands: 'none' });
    // A character that needs Shift here is pressed with it.
    expect(reachOf(here, 'left')('Mod+Plus').keys).toBe(3);
  });

  it('is told and compared in whole sentences, which say the opposite the other way around', () => {
    const reach = reachOf(here, 'left');
    const chord = fc.constantFrom(
      'S',
      'W',
      'Alt+S',
      'Mod+Shift+F9',
      'P',
      'Mod+P',
      'Alt+W Alt+E',
      'hold:Space',
      'F12',
      'Num 5',
    );
    let [alike, hands] = [0, 0];
    fc.assert(
      fc.property(chord, chord, (one, other) => {
        const [a, b] = [reach(one), reach(other)];
        expect(describeReach(a)).toSatisfy(isSentence);
        const [there, back] = [compareReach(a, b, other), compareReach(b, a, one)].map(plainWords);
        expect(there).toSatisfy(isSentence);
        expect(there).toContain(other);
        if (there?.startsWith('As easy')) {
          alike++;
          expect(back).toMatch(/^As easy/);
        } else expect(back?.startsWith('Easier')).toBe(there?.startsWith('Harder'));
        if (there?.includes('instead of both')) {
          hands++;
          expect(back).toContain('both hands instead of one');
        }
      }),
      { numRuns: 300 },
    );
    expect([alike > 10, hands > 10]).toEqual([true, true]);
  });

  it('says so in words', () => {
    const left = reachOf(here, 'left');
    expect(describeReach(left('F'))).toBe('Under the fingers.');
    expect(describeReach(left('Mod+Z'))).toBe('One hand, two keys together.');
    expect(describeReach(left('Mod+Shift+F9'))).toBe('Needs both hands: the pen is put down. Three keys together.');
    expect(describeReach(left('P'))).toMatch(/^One hand, but it leaves its place by \d+ cm\.$/);
    expect(plainWords(compareReach(left('Alt+W'), left('Mod+Shift+F9'), 'Mod+Shift+F9'))).toBe(
      'Easier than Mod+Shift+F9: one hand instead of both.',
    );
    expect(plainWords(compareReach(left('Mod+Alt+E'), left('Mod+E'), 'Mod+E'))).toBe(
      'Harder than Mod+E: three keys together instead of two.',
    );
  });
});
