import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countEdits } from '@/core/advice/countEdits';
import { emptyList } from '@/core/advice/emptyList';
import { wishEdits } from '@/core/advice/wishEdits';
import { tickEdits } from '@/core/changeList/tickEdits';
import { sayEdits } from '@/core/counterpart/sayEdits';
import { DEFAULT_KEYBOARD } from '@/core/keyboard/usKeyboard';
import { whereOf } from '@/core/keyboard/where';
import { draftOf } from '@/core/keymap/draft';
import { type DraftEdit, draftEdits } from '@/core/keymap/draftEdits';
import { DEFAULT_RULES } from '@/core/program/program';
import { type ProgramEdit, programEdits } from '@/core/program/programEdits';
import type { ProgramView } from '@/core/program/programView';
import { DEFAULT_SETTINGS } from '@/core/settings/settings';
import { type SheetEdit, sheetEdits } from '@/core/sheet/sheetEdits';
import { DEFAULT_SHEET } from '@/core/sheet/sheetSpec';
import type { KeptSheet } from '@/core/sheet/sheetsView';
import { fieldEdits, startingAs } from '@/core/sync/edits';
import type { Edits } from '@/core/sync/sync';
import type { EditMark, Versioned } from '@/core/sync/versioned';
import { sampleDraft } from '@/core/testing/sampleDraft';
import { sampleProgram } from '@/core/testing/sampleProgram';
import { EMPTY_PLAN } from '@/core/transfer/matchPlan';
import { FACTORY_APPEARANCE } from '@/core/workspace/appearance';
import { factoryRoom } from '@/core/workspace/room';
import { type RoomEdit, roomEdits } from '@/core/workspace/roomEdits';
import type { RoomView } from '@/core/workspace/roomView';
import { Refused } from '../shell/api';
import { createKept } from './createKept';

type Kind = { readonly start: unknown; readonly edits: Edits<unknown, unknown>; readonly edit: fc.Arbitrary<unknown> };
const kind = <Value, Edit>(start: Value, edits: Edits<Value, Edit>, edit: fc.Arbitrary<Edit>): Kind =>
  ({ start, edits, edit }) as unknown as Kind;
const name = fc.constantFrom('blur', 'mend', 'lift');
const some = fc.uniqueArray(name, { minLength: 1 });
const DRAFT = draftOf({
  programSlug: 'p',
  program: sampleProgram,
  draft: sampleDraft({ revision: 0 }),
  bindings: [],
  spares: [],
  toKept: [],
  toFactory: [],
  tape: [],
  earlier: 0,
});
const room = factoryRoom(sampleProgram, DRAFT.factory);
const ROOM: RoomView = {
  state: { person: '', room, workspace: null, revision: 0, cursor: 0, steps: [] },
  factory: room,
  workspaces: [],
  keymaps: [],
  icons: {},
};
const PROGRAM_VIEW: ProgramView = {
  slug: 'p',
  revision: 0,
  program: sampleProgram,
  factoryKeys: {},
  lastStep: null,
};
const LIST = emptyList(whereOf(DEFAULT_KEYBOARD));

/** Every kind of thing that is kept this way, with edits people make of it. */
const KINDS: Readonly<Record<string, Kind>> = {
  ticks: kind([], tickEdits, fc.record({ steps: some, done: fc.boolean() })),
  'a wish list': kind(
    null,
    startingAs(LIST, wishEdits),
    fc.oneof(
      fc.record({ commands: some, on: fc.boolean() }),
      fc.record({ spendBelow: fc.constantFrom(null, 1, 2) }),
      fc.record({ stays: some }),
    ),
  ),
  counts: kind(
    {},
    countEdits,
    fc.record({ uses: fc.dictionary(name, fc.constantFrom(null, 1, 5), { minKeys: 1 }), all: fc.boolean() }),
  ),
  'a match': kind(
    null,
    startingAs(EMPTY_PLAN, fieldEdits<typeof EMPTY_PLAN>()),
    fc.record({ instead: fc.array(fc.tuple(name, fc.constantFrom(null, 'Q', 'W')), { maxLength: 2 }) }),
  ),
  counterparts: kind(
    [],
    sayEdits,
    fc.record({
      program: fc.constant('one'),
      command: name,
      other: fc.constant('other'),
      counterpart: fc.constantFrom('draw', null, undefined),
    }),
  ),
  'a draft': kind(
    DRAFT,
    draftEdits,
    fc.oneof(
      fc.tuple(name, fc.constantFrom('Q', 'W', undefined), fc.constantFrom('Q', 'W')).map(
        ([command, before, after]): DraftEdit => ({
          kind: 'ticket',
          ticket: {
            title: `${command} ${after}`,
            changes: [{ command, before: before ? [{ chord: before }] : [], after: [{ chord: after }] }],
          },
        }),
      ),
      fc.nat(3).map((cursor): DraftEdit => ({ kind: 'move', cursor })),
      fc.constantFrom<DraftEdit>({ kind: 'keep' }, { kind: 'discard' }, { kind: 'lock', locked: false }),
    ),
  ),
  'a room': kind(
    ROOM,
    roomEdits,
    fc.oneof(
      fc.nat(3).map((keymap): RoomEdit => ({ kind: 'step', title: `${keymap}`, parts: { keymap } })),
      fc.constantFrom('large' as const, 'small' as const).map(
        (controls): RoomEdit => ({
          kind: 'step',
          title: controls,
          parts: { appearance: { ...FACTORY_APPEARANCE, controls } },
        }),
      ),
      fc.nat(2).map((cursor): RoomEdit => ({ kind: 'move', cursor })),
    ),
  ),
  'what a program says of itself': kind(
    PROGRAM_VIEW,
    programEdits,
    fc.oneof(
      fc.boolean().map(
        (shadow): ProgramEdit => ({
          kind: 'facts',
          title: `Narrower ${shadow}`,
          facts: { rules: { ...DEFAULT_RULES, shadow } },
        }),
      ),
      some.map(
        (left): ProgramEdit => ({
          kind: 'facts',
          title: 'Commands',
          facts: { commands: sampleProgram.commands.filter((one) => left.some((each) => each === one.id)) },
        }),
      ),
    ),
  ),
  'kept sheets': kind(
    [1, 2].map((id): KeptSheet => ({ id, slug: `${id}`, name: `${id}`, putAway: false, spec: DEFAULT_SHEET })),
    sheetEdits,
    fc
      .tuple(
        fc.constantFrom(1, 2),
        fc.oneof(
          fc.record({ name }),
          fc.record({ putAway: fc.boolean() }),
          fc.constantFrom('poster' as const, 'card' as const).map((form) => ({ spec: { ...DEFAULT_SHEET, form } })),
        ),
      )
      .map(([id, change]): SheetEdit => ({ kind: 'change', id, change })),
  ),
  settings: kind(
    DEFAULT_SETTINGS,
    fieldEdits<typeof DEFAULT_SETTINGS>(),
    fc.oneof(
      fc.record({ lamp: fc.constantFrom('dim' as const, 'bright' as const) }),
      fc.record({ textSize: fc.constantFrom('large' as const, 'normal' as const) }),
    ),
  ),
};

/** A server that does an edit only on what it was made on, and once: as `editInStep` does. */
function serverOf({ start, edits }: Kind) {
  let at: Versioned<unknown> = { revision: 0, value: start };
  const done: { readonly key: string; readonly edit: unknown }[] = [];
  return {
    now: () => at,
    done,
    take: (edit: unknown, { key = '', revision = -1 }: EditMark): Versioned<unknown> => {
      if (done.some((one) => one.key === key)) return at;
      if (revision !== at.revision) throw new Refused('changed elsewhere', 'Changed elsewhere.', { now: at });
      at = { revision: revision + 1, value: edits.apply(at.value, edit) };
      done.push({ key, edit });
      return at;
    },
  };
}

describe.each(Object.entries(KINDS))('%s, in two windows over a slow wire that loses and reorders', (_, what) => {
  it('hold exactly the edits that were confirmed, each once; the others are told, and windows show what is stored', async () => {
    const fates = fc.array(fc.constantFrom('there and back', 'lost', 'answer lost', 'sent twice'), { maxLength: 30 });
    const made = fc.array(fc.tuple(fc.nat(1), what.edit), { minLength: 1, maxLength: 8 });
    await fc.assert(
      fc.asyncProperty(fc.scheduler(), made, fates, async (wire, edits, luck) => {
        const server = serverOf(what);
        let sent = 0;
        const told = [0, 0];
        const windows = told.map((__, window) =>
          createKept(
            server.now(),
            {
              ...what.edits,
              send: async (edit, ___, mark) => {
                const fate = luck[sent++] ?? 'there and back';
                await wire.schedule(Promise.resolve(), 'on its way');
                if (fate === 'lost') throw new Refused('unreachable', 'No answer.');
                // A copy of the request that comes late.
                if (fate === 'sent twice')
                  void wire.schedule(Promise.resolve(), 'late').then(() => {
                    try {
                      server.take(edit, mark);
                    } catch {
                      // It is refused where something else came first, and nobody hears of it.
                    }
                  });
                const answer = server.take(edit, mark);
                await wire.schedule(Promise.resolve(), 'on its way back');
                if (fate === 'answer lost') throw new Refused('unreachable', 'No answer.');
                return answer;
              },
            },
            () => told.splice(window, 1, (told[window] ?? 0) + 1),
            async () => void (await wire.schedule(Promise.resolve(), 'a pause')),
          ),
        );
        const lost = [0, 0];
        for (const [window, one] of windows.entries())
          one.store.subscribe(({ sync }, { sync: before }) => {
            if (sync.trouble?.kind === 'lost' && sync.trouble !== before.trouble)
              lost[window] = (lost[window] ?? 0) + sync.trouble.lost.length;
          });
        for (const [window, edit] of edits) {
          windows[window]?.edit(edit);
          if (wire.count() > 0) await wire.waitOne();
        }
        await wire.waitFor(Promise.all(windows.map((one) => one.settled())));
        await wire.waitIdle();
        // Each once, and nothing but what was made.
        expect(new Set(server.done.map((one) => one.key)).size).toBe(server.done.length);
        expect(server.done.length + (lost[0] ?? 0) + (lost[1] ?? 0)).toBe(edits.length);
        expect(server.now().value).toEqual(server.done.reduce((at, one) => what.edits.apply(at, one.edit), what.start));
        for (const [window, one] of windows.entries()) {
          const { sync, shown } = one.store.getState();
          expect(sync.pending).toEqual([]);
          expect(shown).toEqual(sync.stored.value);
          if ((lost[window] ?? 0) > 0) expect(told[window]).toBeGreaterThan(0);
          if (sync.stored.revision === server.now().revision) expect(shown).toEqual(server.now().value);
        }
      }),
      { numRuns: 150 },
    );
  });
});
