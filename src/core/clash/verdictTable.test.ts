import { describe, expect, it } from 'vitest';
import { canonicalText } from '../chord/chord';
import { parseChord } from '../chord/parseChord';
import { fromProgramFile } from '../file/programFile';
import { usKeyboard } from '../keyboard/usKeyboard';
import { whereOf } from '../keyboard/where';
import { applyTicket, invertTicket } from '../keymap/ticket';
import { isListedAfter, VERDICT_STEPS, type VerdictStep } from '../testing/verdictSteps';
import { walkFile } from '../testing/walkProgram';
import { checkKeymap } from './checkKeymap';
import { CHOICE_KINDS, choices } from './choices';
import { buildClashIndex, programFacts } from './clashIndex';
import { verdict } from './verdict';

/** The walk program with its keymap, judged as a step says. */
function standing({ command, keys, where: at, rules }: VerdictStep) {
  const file = { ...walkFile.program, rules: { ...walkFile.program.rules, sequences: rules !== 'strict' } };
  const { program, factory, keymaps } = fromProgramFile({ ...walkFile, program: file });
  const where = whereOf({ ...usKeyboard.choice, ...at }, 'windows');
  const facts = programFacts(program);
  const keymap = keymaps[0]?.keymap ?? factory;
  const index = buildClashIndex(facts, keymap, where.place);
  const read = parseChord(keys);
  const one = facts.commands.get(command);
  if (!read.ok || !one) throw new Error(`${command} ${keys} is no step.`);
  return { program, factory, keymap, facts, where, index, command: one, chord: canonicalText(read.chord) };
}

describe('verdicts by choices', () => {
  it.each(VERDICT_STEPS)('$command on $keys: says so, offers so, and each choice leaves what was said', (step) => {
    const { factory, keymap, facts, where, index, command, chord } = standing(step);
    const said = verdict(index, where, command, chord);
    expect(said.findings.map((one) => one.kind)).toEqual(step.says);
    const offered = choices(index, where, command, said, false);
    expect(offered.map((one) => one.kind).sort()).toEqual([...step.offers].sort());
    for (const choice of offered) {
      // A keeper is asked for twice, and only a keeper.
      expect(choice.keepers.length > 0).toBe(step.checks?.includes('keeper lost') ?? false);
      // Who is left bare is on the bench next.
      const losers = said.findings.flatMap((one) => ('holders' in one ? one.holders.map((h) => h.command.id) : []));
      expect(choice.next.map((one) => one.id)).toEqual(choice.kind === 'take and give' ? losers : []);
      const after = applyTicket(keymap, choice.ticket);
      const listed = checkKeymap(buildClashIndex(facts, after, where.place), where, factory).map(
        (one) => one.finding.kind,
      );
      expect(listed).not.toContain('held by');
      for (const kind of step.checks ?? [])
        expect([choice.kind, kind, listed.includes(kind)]).toEqual([
          choice.kind,
          kind,
          isListedAfter(kind, choice.kind),
        ]);
      expect(applyTicket(after, invertTicket(choice.ticket)).bindings).toEqual(keymap.bindings);
    }
  });

  it('meets every choice, and every verdict but those of chords alone', () => {
    const said = new Set<string>(VERDICT_STEPS.flatMap((one) => one.says));
    const offered = new Set<string>(VERDICT_STEPS.flatMap((one) => one.offers));
    expect([...offered].sort()).toEqual([...CHOICE_KINDS].sort());
    expect(said.size).toBe(19);
  });
});
