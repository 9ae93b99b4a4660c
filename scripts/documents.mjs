/**
 * Fetches the documents that `bench/documents.ts` reads: files of programs of other trades, from Debian's packages and from
 * npm, each held against its checksum. They are kept in .tmp/documents/ and nowhere else.
 */
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { root } from './server.mjs';

/** Name, where from, package, file in it, SHA-256 of the file as it is read. */
const DOCUMENTS = readFileSync(join(root, 'bench/documents/sources.txt'), 'utf8')
  .split('\n')
  .filter((line) => line !== '' && !line.startsWith('#'))
  .map((line) => line.split(' '));
const folder = join(root, '.tmp', 'documents');
mkdirSync(folder, { recursive: true });

let failed = 0;
for (const [name, from, packed, file, sum] of DOCUMENTS) {
  const at = mkdtempSync(join(tmpdir(), 'gray-pin-document-'));
  try {
    const [command, args] = from === 'debian' ? ['apt-get', ['download', packed]] : ['npm', ['pack', packed]];
    execFileSync(command, args, { cwd: at, stdio: 'ignore' });
    const archive = readdirSync(at).find((one) => /\.(?:deb|tgz)$/.test(one)) ?? '';
    if (from === 'debian') execFileSync('dpkg-deb', ['-x', archive, '.'], { cwd: at });
    else execFileSync('tar', ['xzf', archive], { cwd: at });
    const raw = readFileSync(join(at, file));
    const bytes = file.endsWith('.gz') ? gunzipSync(raw) : raw;
    if (createHash('sha256').update(bytes).digest('hex') !== sum) throw new Error('it is another version by now');
    writeFileSync(join(folder, name), bytes);
    console.log(`${name}: fetched`);
  } catch (error) {
    failed++;
    console.error(`${name}: not fetched, ${error.message}`);
  } finally {
    rmSync(at, { recursive: true, force: true });
  }
}
process.exit(failed === 0 ? 0 : 1);
