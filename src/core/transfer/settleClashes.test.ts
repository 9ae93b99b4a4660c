import fc from 'fast-check';
import { expect, it } from 'vitest';
import { buildAdvisor } from '../advice/advisor';
import { buildClashIndex, findClashes, programFacts } from '../clash/clashIndex';
import { bindingsOf, keymapOf, type Row } from '../keymap/keymap';
import { applyTicket, invertTicket } from '../keymap/ticket';
import { here, sampleProgram } from '../testing/sampleProgram';
import { plainWords } from '../text/sentence';
import { describeClashLine, settleClashes } from './settleClashes';

const facts = programFacts(sampleProgram);
const advisor = buildAdvisor(facts, here, 'left', []);
const ids = sampleProgram.commands.map((one) => one.id);
const uses = new Map([
  ['undo', 90],
  ['trim', 5],
]);
const settle = (keymap: ReturnType<typeof keymapOf>) =>
  settleClashes(advisor, buildClashIndex(facts, keymap, here.place), ({ id }) => uses.get(id) ?? 1);

it('leaves no clash but those of keepers, moves no keeper, takes from nobody who clashes with nobody, and is done then', () => {
  let settled = 0;
  const row = fc.tuple(
    fc.constantFrom(...ids),
    fc.constantFrom('F5', 'Mod+Z', 'Alt+W', 'G'),
    fc.boolean(),
  ) as fc.Arbitrary<Row>;
  fc.assert(
    fc.property(fc.array(row, { maxLength: 14 }), fc.subarray(ids, { maxLength: 2 }), (rows, spares) => {
      const keymap = keymapOf(rows, spares);
      const { ticket, lines, left } = settle(keymap);
      const after = ticket ? applyTicket(keymap, ticket) : keymap;
      const clashes = findClashes(buildClashIndex(facts, after, here.place));
      expect(clashes.map(({ chord }) => chord).sort()).toEqual([...left].sort());
      for (const { holders } of clashes) expect(holders.filter((one) => one.keeper).length).toBeGreaterThan(1);
      for (const [id, bindings] of keymap.bindings)
        for (const one of bindings) if (one.keeper) expect(bindingsOf(after, id)).toContainEqual(one);
      const clashing = new Set(
        findClashes(buildClashIndex(facts, keymap, here.place)).flatMap(({ holders }) =>
          holders.map(({ command }) => command.id),
        ),
      );
      for (const { command } of ticket?.changes ?? []) expect(clashing.has(command)).toBe(true);
      expect(lines.map((one) => one.command.id).sort()).toEqual(
        (ticket?.changes ?? []).map((one) => one.command).sort(),
      );
      if (ticket) expect(applyTicket(after, invertTicket(ticket)).bindings).toEqual(keymap.bindings);
      expect(settle(after).ticket).toBeNull();
      if (ticket) settled++;
    }),
    { numRuns: 300 },
  );
  expect(settled).toBeGreaterThan(50);
});

it('lets whoever is used most stay, and says what becomes of the others', () => {
  const keymap = keymapOf([
    ['trim', 'F5'],
    ['undo', 'F5'],
    ['dab', 'F5'],
    ['dab', 'F9'],
  ]);
  const { lines, ticket } = settle(keymap);
  expect(bindingsOf(applyTicket(keymap, ticket!), 'undo')).toEqual([{ chord: 'F5' }]);
  const said = lines.map((line) => `${line.command.id}${plainWords(describeClashLine(line))}`);
  expect(said).toHaveLength(2);
  expect(said[0]).toMatch(/^trim leaves F5 to Undo and gets \S+, the closest free\.$/);
  expect(said[1]).toBe('dab leaves F5 to Undo and keeps its others.');
  expect(ticket?.title).toBe('Settle 1 clash');
});
