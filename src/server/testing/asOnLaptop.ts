import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openPlainFile } from '../stored/plainFile';

/**
 * A file with everything of the demo as another computer would have it, where somebody went on: one keymap was edited
 * there otherwise, one went further, one is of that computer alone.
 */
export async function asOnLaptop(bytes: Uint8Array): Promise<Uint8Array<ArrayBuffer>> {
  const folder = mkdtempSync(join(tmpdir(), 'gray-pin-laptop-'));
  const path = join(folder, 'laptop.sqlite');
  try {
    writeFileSync(path, bytes);
    const file = await openPlainFile(path, 'to write');
    for (const step of STEPS) await file.run(step);
    await file.close();
    return new Uint8Array(readFileSync(path));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const LABELS = "(SELECT id FROM keymaps WHERE slug = 'label-drawing')";
const KEYLESS = `(SELECT command FROM commands WHERE kind = 'menu item'
  AND version_id = (SELECT version_id FROM keymaps WHERE id = ${LABELS})
  AND command NOT IN (SELECT command FROM bindings WHERE keymap_id = ${LABELS}) ORDER BY position LIMIT 1)`;
const STEPS = [
  `UPDATE keymaps SET name = 'Packets, left hand', slug = 'packets-left-hand', uid = 'of the laptop alone', kin = NULL
    WHERE slug = 'packet-pictures'`,
  `UPDATE tickets SET title = 'As on the laptop' WHERE position = 1
    AND keymap_id = (SELECT id FROM keymaps WHERE slug = 'sheet-retouching')`,
  `INSERT INTO tickets (keymap_id, position, title, changes, created_at) SELECT ${LABELS}, cursor + 1, 'Further on the laptop',
    json_array(json_object('command', ${KEYLESS}, 'before', json_array(), 'after', json_array(json_object('chord', 'Alt+F4')))),
    created_at FROM keymaps WHERE id = ${LABELS}`,
  `INSERT INTO bindings (keymap_id, command, chord, position) SELECT ${LABELS}, ${KEYLESS}, 'Alt+F4', 0`,
  `UPDATE keymaps SET cursor = cursor + 1 WHERE id = ${LABELS}`,
];
