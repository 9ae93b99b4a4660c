import * as fontkit from 'fontkit';
import { describe, expect, it } from 'vitest';
import { EMPTY_KEYMAP, keymapOf } from '../../core/keymap/keymap';
import { layOutSheet } from '../../core/sheet/layOutSheet';
import { FACES } from '../../core/sheet/measure';
import metrics from '../../core/sheet/metrics.json';
import { sheetContents } from '../../core/sheet/sheetContents';
import { sheetQuery } from '../../core/sheet/sheetQuery';
import { DEFAULT_SHEET } from '../../core/sheet/sheetSpec';
import { sampleProgram } from '../../core/testing/sampleProgram';
import { sheetOptions } from '../../schemas/sheets';
import { FACE_FILES } from './fontFiles';
import { plainFont } from './plainFont';
import { writeSheetPdf } from './writeSheetPdf';

describe('fonts on paper', () => {
  it.each(FACES)('%s is unpacked whole, and set as wide as the core measures it', (face) => {
    const font = fontkit.create(plainFont(FACE_FILES[face])) as fontkit.Font;
    const advances = metrics[face] as Readonly<Record<string, number>>;
    const codes = Object.keys(advances).map((hex) => Number.parseInt(hex, 16));
    expect(codes.length).toBeGreaterThan(5);
    for (const code of codes) {
      const { positions } = font.layout(String.fromCodePoint(code));
      const wide = positions.reduce((sum, one) => sum + one.xAdvance, 0) / font.unitsPerEm;
      expect(wide * 10_000).toBeCloseTo(advances[code.toString(16)] ?? Number.NaN, -1);
    }
    // Without kerning, a pair is as wide as its letters.
    if (face === 'words')
      expect(font.layout('AVToy').advanceWidth).toBe(
        [...'AVToy'].reduce((sum, c) => sum + font.layout(c).advanceWidth, 0),
      );
  });

  it('refuses what is no font', () => {
    expect(() => plainFont('package.json')).toThrow('not a WOFF');
  });
});

describe('a sheet as PDF', () => {
  const contents = sheetContents({
    program: sampleProgram,
    keymapName: 'Mine',
    keymap: keymapOf([
      ['undo', 'Mod+Z'],
      ['trim', 'Mod+-'],
      ['clone', '⌘'],
    ]),
    factory: EMPTY_KEYMAP,
    spec: { ...DEFAULT_SHEET, notation: 'symbols' },
    footer: 'Retoucher',
  });

  it('is tagged, titled, and holds one page object a page', async () => {
    const layout = layOutSheet(contents, { ...DEFAULT_SHEET, paper: 'Letter', way: 'upright' }, '1 May 2026');
    const pdf = (await writeSheetPdf(layout, contents.title, new Date(0))).toString('latin1');
    expect(pdf.startsWith('%PDF-1.7')).toBe(true);
    expect(pdf.trimEnd().endsWith('%%EOF')).toBe(true);
    expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(layout.pages.length);
    expect(pdf).toContain('/StructTreeRoot');
    expect(pdf).toContain('/Marked true');
  });

  it('takes its choices from an address, and the usual ones for what is unknown there', () => {
    expect(sheetOptions({})).toEqual(DEFAULT_SHEET);
    const own = {
      ...DEFAULT_SHEET,
      contents: 'picked' as const,
      picked: ['undo', 'a,b'],
      groupNames: [['Repair', 'Mending']] as const,
      fold: true,
      pages: 2,
    };
    expect(sheetOptions(sheetQuery(own))).toEqual(own);
    expect(sheetOptions({ contents: 'yours', paper: 'Letter', way: 'sideways', picked: '{', pages: '999' })).toEqual({
      ...DEFAULT_SHEET,
      contents: 'yours',
      paper: 'Letter',
    });
    expect(sheetOptions({ notation: ['mac', 'windows'] }).notation).toBe('windows');
  });
});
