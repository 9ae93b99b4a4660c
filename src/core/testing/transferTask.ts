import { buildAdvisor } from '../advice/advisor';
import { programFacts } from '../clash/clashIndex';
import { KINDS } from '../program/program';
import type { TransferRules, TransferTask } from '../transfer/transferTypes';
import { here, sampleProgram } from './sampleProgram';

/** All kinds, with keys or without, whatever is easier, and no keys besides. */
export const RULES: TransferRules = { kinds: KINDS, onlyEmpty: false, preferEasier: false, besides: false };
export const ids = sampleProgram.commands.map((one) => one.id);
export const advisor = buildAdvisor(programFacts(sampleProgram), here, 'left', []);

/** A transfer from the sample program to itself: every command is its own counterpart, nothing is settled. */
export function taskOf(given: Partial<TransferTask> & Pick<TransferTask, 'keymap' | 'theirKeys'>): TransferTask {
  return {
    advisor,
    theirCommands: new Map(sampleProgram.commands.map((one) => [one.id, one])),
    pairs: ids.map((id) => ({ mine: id, theirs: id })),
    rules: RULES,
    choices: new Map(),
    instead: new Map(),
    settled: new Map(),
    usesOf: () => 1,
    ...given,
  };
}
