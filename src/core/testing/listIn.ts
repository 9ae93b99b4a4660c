import { zipSync } from 'fflate';

/** A command of a made-up list. */
type Row = { readonly name: string; readonly keys: string; readonly group: string };

const WORDS = ['Lift stain', 'Dust sweep', 'Press flat', 'Mask paper', 'Fold sheet', 'Closer', 'Farther', 'Turn sheet'];
const rowAt = (i: number): Row => ({
  name: `${WORDS[i % WORDS.length]} ${Math.floor(i / WORDS.length) + 1}`,
  keys: `Ctrl+${i % 2 === 0 ? 'Shift+' : ''}${String.fromCharCode(65 + (i % 26))}`,
  group: `Group ${Math.floor(i / 25) + 1}`,
});

/** Rows in their groups. */
function grouped(rows: readonly Row[]): readonly (readonly [group: string, rows: readonly Row[]])[] {
  const groups = new Map<string, Row[]>();
  for (const row of rows) {
    const some = groups.get(row.group);
    if (some) some.push(row);
    else groups.set(row.group, [row]);
  }
  return [...groups];
}
const inGroups = (rows: readonly Row[], head: (group: string) => string, line: (row: Row) => string): string =>
  grouped(rows)
    .map(([group, some]) => `${head(group)}\n${some.map(line).join('\n')}`)
    .join('\n\n');
const dashed = (name: string): string => name.toLowerCase().replace(/ /g, '-');
const signed = (keys: string): string => keys.replace('Ctrl+', '^').replace('Shift+', '$').toLowerCase();
const toolkit = (keys: string): string => keys.replace('Ctrl+', '<Control>').replace('Shift+', '<Shift>').toLowerCase();

/** A list in each form that is read, as a text. */
const TEXTS: Readonly<Record<string, (rows: readonly Row[]) => string>> = {
  table: (rows) =>
    `Menu,Command,Keys\n${rows.map(({ name, keys, group }) => `${group},"${name}",${keys}`).join('\n')}\n`,
  'web page': (rows) =>
    `<!doctype html><title>Keys</title>\n${grouped(rows)
      .map(
        ([group, some]) =>
          `<h2>${group}</h2><table><tr><th>Command</th><th>Keys</th></tr>${some
            .map(
              ({ name, keys }) =>
                `<tr><td>${name}</td><td><kbd>${keys.replaceAll('+', '</kbd>+<kbd>')}</kbd></td></tr>`,
            )
            .join('\n')}</table>`,
      )
      .join('\n')}`,
  Markdown: (rows) =>
    grouped(rows)
      .map(
        ([group, some]) =>
          `## ${group}\n\n| Command | Keys |\n| --- | --- |\n${some.map(({ name, keys }) => `| ${name} | \`${keys}\` |`).join('\n')}`,
      )
      .join('\n\n'),
  settings: (rows) =>
    inGroups(
      rows,
      (group) => `[${group}]`,
      ({ name, keys }) => `${dashed(name)} = ${keys}`,
    ),
  bindings: (rows) => rows.map(({ name, keys }) => `bind ${keys} ${dashed(name)}`).join('\n'),
  'text in columns': (rows) =>
    inGroups(
      rows,
      (group) => `${group}\n${'='.repeat(group.length)}`,
      ({ name, keys }) => `${name.padEnd(30)}${keys}`,
    ),
  lines: (rows) =>
    inGroups(
      rows,
      (group) => `# ${group}`,
      ({ name, keys }) => `${name} (${keys})`,
    ),
  'page of boxes': (rows) =>
    `<!doctype html><title>Keys</title>\n${inGroups(
      rows,
      (group) => `<h2>${group}</h2>`,
      ({ name, keys }) => `<div><span>${name}</span> <kbd>${keys}</kbd></div>`,
    )}`,
  'manual source': (rows) =>
    `.TH DESK 1\n${inGroups(
      rows,
      (group) => `.SH ${group}`,
      ({ name, keys }) => `.TP\n.B ${keys}\n${name}`,
    )}\n`,
  'program text': (rows) =>
    `export default [\n${rows.map(({ name, keys }) => `  { name: '${name}', keys: '${keys}' },`).join('\n')}\n];\n`,
  'accelerator map': (rows) =>
    rows.map(({ name, keys, group }) => `(accel_path "<Main>/${group}/${name}" "${toolkit(keys)}")`).join('\n'),
  JSON: (rows) =>
    JSON.stringify(
      rows.map(({ name, keys, group }) => ({ command: dashed(name), keys, group })),
      null,
      1,
    ),
  XML: (rows) =>
    `<?xml version="1.0"?>\n<keys>\n${rows.map(({ name, keys, group }) => `  <bind command="${name}" keys="${keys}" group="${group}"/>`).join('\n')}\n</keys>`,
  YAML: (rows) => rows.map(({ name, keys }) => `- command: ${name}\n  keys: ${keys}`).join('\n'),
  TOML: (rows) => rows.map(({ name, keys }) => `[[bind]]\ncommand = "${name}"\nkeys = "${keys}"`).join('\n\n'),
  'property list': (rows) =>
    `{\n${rows.map(({ name, keys }) => `  "${signed(keys)}" = "${dashed(name)}:";`).join('\n')}\n}`,
};

const cellOf = (text: string, at: string): string =>
  `<c r="${at}" t="inlineStr"><is><t>${text.replace(/&/g, '&amp;').replace(/</g, '&lt;')}</t></is></c>`;

/** A workbook of one sheet, packed. */
export function packedBook(sheet: string, more: Readonly<Record<string, Uint8Array>> = {}): Uint8Array {
  const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
  return zipSync({
    'xl/workbook.xml': bytes(
      '<workbook xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="Keys" sheetId="1" r:id="rId1"/></sheets></workbook>',
    ),
    'xl/_rels/workbook.xml.rels': bytes(
      '<Relationships><Relationship Id="rId1" Target="worksheets/sheet1.xml"/></Relationships>',
    ),
    'xl/worksheets/sheet1.xml': bytes(`<worksheet><sheetData>${sheet}</sheetData></worksheet>`),
    ...more,
  });
}

const workbook = (rows: readonly Row[]): Uint8Array =>
  packedBook(
    [{ group: 'Menu', name: 'Command', keys: 'Keys' }, ...rows]
      .map(
        ({ group, name, keys }, i) =>
          `<row r="${i + 1}">${cellOf(group, `A${i + 1}`)}${cellOf(name, `B${i + 1}`)}${cellOf(keys, `C${i + 1}`)}</row>`,
      )
      .join(''),
  );

export const LISTED_FORMS: readonly string[] = [...Object.keys(TEXTS), 'workbook'];

/** A made-up list of so many commands in one of the forms that are read; each has keys, and no two one name. */
export function listIn(form: string, rows: number): Uint8Array {
  const all = Array.from({ length: rows }, (_, i) => rowAt(i));
  return form === 'workbook' ? workbook(all) : new TextEncoder().encode(TEXTS[form]?.(all) ?? '');
}
