/** Writes each demo keymap as every kind of file and opens them in software of others; prints what each said. */
import { execFileSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import { chromiumPath, launchArgs } from '../e2e/support/browser';
import { fromProgramFile, type ProgramFile } from '../src/core/file/programFile';
import { makeSheet } from '../src/core/sheet/makeSheet';
import type { SheetContents } from '../src/core/sheet/sheet';
import { DEFAULT_SHEET, FORMS } from '../src/core/sheet/sheetSpec';
import { writePage } from '../src/core/sheet/writeHtml';
import { facesOf, writeSvg } from '../src/core/sheet/writeSvg';
import { sheetRows, writeCsv } from '../src/core/sheet/writeText';
import { FACE_FILES } from '../src/server/sheets/fontFiles';
import { writeSheetPdf } from '../src/server/sheets/writeSheetPdf';
import { writeWorkbook } from '../src/server/sheets/writeWorkbook';

const folder = join(import.meta.dirname, '../.tmp/check-files');
rmSync(folder, { recursive: true, force: true });
mkdirSync(folder, { recursive: true });
const at = (name: string): string => join(folder, name);
const tool = (name: string, ...args: string[]): string =>
  execFileSync(name, args, { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] });
let checks = 0;
function expect(what: string, right: boolean): void {
  checks++;
  if (!right) throw new Error(`${what} is wrong.`);
}

/** A line whose name would be a formula, if anything took it for one. */
const FORMULA = '=1+1 is a name';
const withFormula = (contents: SheetContents): SheetContents => ({
  ...contents,
  groups: [...contents.groups, { title: 'Names', lines: [{ name: FORMULA, keys: [['+']], changed: false }] }],
});

const demo = join(import.meta.dirname, '../demo');
for (const name of readdirSync(demo).filter((one) => one !== 'draft.json' && one.endsWith('.json'))) {
  const { program, factory, keymaps } = fromProgramFile(
    JSON.parse(readFileSync(join(demo, name), 'utf8')) as ProgramFile,
  );
  for (const { name: keymapName, keymap } of keymaps) {
    const slug = `${program.name}-${keymapName}`.replace(/\W+/g, '-').toLowerCase();
    for (const form of FORMS.filter((one) => one !== 'programs')) {
      const spec = { ...DEFAULT_SHEET, form, notation: 'both' as const };
      const { contents, layout } = makeSheet({ program, keymapName, keymap, factory, footer: '', spec }, '1 May 2026');
      const pdf = at(`${slug}-${form}.pdf`);
      writeFileSync(pdf, await writeSheetPdf(layout, contents.title, new Date(0)));
      expect(`${pdf}: qpdf`, tool('qpdf', '--check', pdf).includes('No syntax or stream encoding errors'));
      const fonts = tool('pdffonts', pdf).split('\n').slice(2).filter(Boolean);
      expect(`${pdf}: fonts`, fonts.length >= 3 && fonts.every((one) => / yes yes yes /.test(one)));
      const text = tool('pdftotext', pdf, '-').replace(/\s+/g, ' ');
      const first = contents.groups[0]?.lines[0]?.name ?? '';
      expect(`${pdf}: text`, text.includes(first));
      const svg = at(`${slug}-${form}.svg`);
      const data = new Map(
        [...facesOf(layout)].map(
          (face) => [face, `data:font/woff;base64,${readFileSync(FACE_FILES[face]).toString('base64')}`] as const,
        ),
      );
      writeFileSync(svg, writeSvg(layout, contents.title, data));
      tool('xmllint', '--noout', svg);
      checks++;
    }
    const { contents: plain } = makeSheet(
      { program, keymapName, keymap, factory, footer: '', spec: DEFAULT_SHEET },
      '',
    );
    const contents = withFormula(plain);
    const rows = sheetRows(contents);
    const workbook = at(`${slug}.xlsx`);
    writeFileSync(workbook, await writeWorkbook(contents));
    tool(
      'soffice',
      '--headless',
      '--convert-to',
      'csv:Text - txt - csv (StarCalc):44,34,76,1',
      '--outdir',
      folder,
      workbook,
    );
    const back = Papa.parse<string[]>(readFileSync(at(`${slug}.csv`), 'utf8').trim()).data.slice(1);
    expect(`${workbook}: rows`, JSON.stringify(back) === JSON.stringify(rows));
    expect(`${workbook}: a formula stays text`, back.at(-1)?.[1] === FORMULA);
    const csv = at(`${slug}-ours.csv`);
    writeFileSync(csv, `\uFEFF${writeCsv(contents)}`);
    tool(
      'soffice',
      '--headless',
      '--infilter=Text - txt - csv (StarCalc):44,34,76,1',
      '--convert-to',
      'html',
      '--outdir',
      folder,
      csv,
    );
    expect(`${csv}: a formula stays text`, readFileSync(at(`${slug}-ours.html`), 'utf8').includes('=1+1 is a name'));
    const page = at(`${slug}-page.html`);
    writeFileSync(page, writePage(contents));
    const dom = tool(chromiumPath(), '--headless', ...launchArgs, '--dump-dom', `file://${page}`);
    expect(`${page}: rows`, dom.split('<tr>').length - 1 === rows.length);
    console.log(`${program.name}, ${keymapName}: ${FORMS.length} PDF and SVG, workbook, CSV, web page opened`);
  }
}
console.log(`${checks} checks passed in qpdf, pdffonts, pdftotext, xmllint, LibreOffice and Chromium.`);
