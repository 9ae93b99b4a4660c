import { DEFAULT_SHEET } from '../sheet/sheetSpec';
import type { WholeKeymap, WholeProgram } from '../whole/whole';
import { sampleProgram } from './sampleProgram';

const AT = '2026-01-01T00:00:00.000Z';

/** A keymap with nothing in it. */
export const wholeKeymap = (uid: string, given: Partial<WholeKeymap> = {}): WholeKeymap => ({
  ...{ uid, kin: uid, name: uid, owner: '', putAwayAt: null, createdAt: AT, lastUsedAt: null },
  ...{ factory: false, unnamed: false, locked: false, rows: [], spares: [], tape: [], cursor: 0 },
  ...{
    kept: [{ bindings: [], spares: [], cursor: 0, keptAt: AT }],
    leftAside: [],
    wishes: null,
    sheets: [],
    ticks: [],
  },
  ...{ plans: [], derivation: null, moves: [] },
  ...given,
});

/** A sheet of a keymap. */
export const wholeSheet = (name: string, most = DEFAULT_SHEET.most): WholeKeymap['sheets'][number] => ({
  ...{ name, contents: { ...DEFAULT_SHEET, most }, putAwayAt: null, createdAt: AT },
});

/** The sample program with its factory keymap and others. */
export function wholeProgram(
  uid: string,
  keymaps: readonly WholeKeymap[],
  given: Partial<WholeProgram> = {},
): WholeProgram {
  const { name, version, ...facts } = sampleProgram;
  const rows = [['undo', 'Mod+Z', true]] as const;
  const factory = wholeKeymap(`${uid} factory`, { factory: true, name: 'Factory keys', rows });
  return {
    ...{ uid, kin: uid, name, version, facts, steps: [], putAwayAt: null, createdAt: AT },
    ...{ keymaps: [factory, ...keymaps], workspaces: [], rooms: [], uses: [], chosen: [], counterparts: [] },
    ...{ forms: [], sources: [], succession: null },
    ...given,
  };
}
