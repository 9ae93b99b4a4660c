import { describeStep } from '../changeList/describeStep';
import { type EntryStep, planEntry } from '../changeList/planEntry';
import { parseCanonical } from '../chord/parseChord';
import { writeChord } from '../chord/writeChord';
import { programFacts } from '../clash/clashIndex';
import { DEFAULT_KEYBOARD } from '../keyboard/usKeyboard';
import { whereOf } from '../keyboard/where';
import { pathText } from '../program/program';
import type { Sentence } from '../text/sentence';
import { capsOf } from './capsOf';
import type { SheetContents, SheetLine } from './sheet';
import { baseOf, NOTATION_NOTES } from './sheetContents';
import type { SheetRequest } from './sheetRequest';

/** What the steps lead from, where the program would not take some keys whatever the order. */
const LEFT_OUT = 'Left out, because the program would not take them';

/** The change list as a sheet: the steps by hand in their order, each with a box to tick and the keys it leads to. */
export function stepsContents(request: SheetRequest): SheetContents {
  const { program, keymapName, keymap, spec, where = whereOf(DEFAULT_KEYBOARD) } = request;
  const base = baseOf(request);
  const notation = spec.notation === 'both' ? 'windows' : spec.notation;
  const facts = programFacts(program);
  const nameOf = (id: string): string => facts.commands.get(id)?.name ?? id;
  const written = (chord: string): string => {
    const parsed = parseCanonical(chord);
    return parsed ? writeChord(parsed, notation) : chord;
  };
  const words = (sentence: Sentence): string =>
    sentence.map((span) => ('keys' in span ? written(span.keys) : Object.values(span)[0])).join('');
  const plan = planEntry(facts, where.place, base.keymap, keymap);
  const lineOf = (step: EntryStep, i: number): SheetLine => {
    const path = facts.commands.get(step.command)?.path ?? [];
    return {
      name: `${i + 1}. ${nameOf(step.command)}`,
      keys: step.after.map((chord) => capsOf(chord, notation)),
      notes: [...(path.length > 0 ? [pathText(path)] : []), words(describeStep(step, nameOf))],
      changed: false,
      box: true,
    };
  };
  const refused = plan.refused.map(
    ({ command, chord, holder }): SheetLine => ({
      name: nameOf(command),
      keys: [capsOf(chord, notation)],
      notes: [`${nameOf(holder)} has it and keeps it.`],
      changed: false,
    }),
  );
  return {
    title: `${program.name} — from ${base.name} to ${keymapName}`,
    notes: ['Done in this order, no step meets keys that are taken', NOTATION_NOTES[notation]],
    groups: [
      ...(plan.steps.length > 0 ? [{ title: 'Steps', lines: plan.steps.map(lineOf) }] : []),
      ...(refused.length > 0 ? [{ title: LEFT_OUT, lines: refused }] : []),
    ],
    footer: request.footer,
  };
}
