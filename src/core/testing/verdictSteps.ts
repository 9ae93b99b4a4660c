import type { ChoiceKind } from '../clash/choices';
import type { FindingKind } from '../clash/verdict';
import type { KeyboardChoice } from '../keyboard/keyboard';

/** Keys typed for a command of the walk program, what is said of them and what can be chosen. */
export type VerdictStep = {
  readonly command: string;
  readonly keys: string;
  readonly says: readonly FindingKind[];
  readonly offers: readonly ChoiceKind[];
  /** The kinds that the check list shows once the choice is taken, whichever it is, but for `SHARED`. */
  readonly checks?: readonly (FindingKind | 'keeper lost')[];
  readonly where?: Partial<KeyboardChoice>;
  readonly rules?: 'strict';
};

/** Every verdict with all its choices. */
export const VERDICT_STEPS: readonly VerdictStep[] = [
  { command: 'bare', keys: 'F2', says: ['free'], offers: ['use'] },
  { command: 'mend', keys: 'F9', says: ['already yours'], offers: [] },
  { command: 'mend', keys: 'Esc', says: ['fixed by the program'], offers: [] },
  { command: 'mend', keys: 'X', says: ['not allowed'], offers: [] },
  { command: 'mend', keys: 'Ctrl+J Ctrl+B', says: ['no sequences'], offers: [], rules: 'strict' },
  { command: 'mend', keys: 'Ctrl+J Ctrl+B', says: ['free'], offers: ['use'] },
  {
    command: 'mend',
    keys: 'Alt+W',
    says: ['held by'],
    offers: ['take and give', 'take', 'take and move', 'swap'],
  },
  { command: 'mend', keys: 'F7', says: ['held by'], offers: ['swap', 'take'] },
  {
    command: 'mend',
    keys: 'Ctrl+Z',
    says: ['held by'],
    offers: ['take and give', 'take', 'take and move', 'swap'],
    checks: ['keeper lost'],
  },
  { command: 'mend', keys: 'Alt+G', says: ['held by'], offers: ['take'] },
  { command: 'press', keys: 'S', says: ['takes turns with'], offers: ['turns', 'take'], checks: ['takes turns with'] },
  {
    command: 'dot',
    keys: 'Shift+F8',
    says: ['shadows'],
    offers: ['shadow', 'swap', 'take'],
    checks: ['shadows', 'shadowed by'],
  },
  { command: 'bare', keys: 'Q', says: ['shadowed by'], offers: ['shadow', 'take'], checks: ['shadows', 'shadowed by'] },
  { command: 'bare', keys: 'Space', says: ['free', 'also a hold key'], offers: ['use'], checks: ['also a hold key'] },
  { command: 'mend', keys: 'Ctrl+K', says: ['free', 'in a sequence'], offers: ['use'], checks: ['in a sequence'] },
  {
    command: 'mend',
    keys: 'Ctrl+Plus',
    says: ['free', 'from the number pad', 'needs Shift'],
    offers: ['use'],
    checks: ['from the number pad', 'needs Shift'],
  },
  {
    command: 'mend',
    keys: 'Alt+F4',
    says: ['free', 'taken by the desktop'],
    offers: ['use'],
    checks: ['taken by the desktop'],
  },
  { command: 'mend', keys: 'Alt+R', says: ['free', 'opens a menu'], offers: ['use'], checks: ['opens a menu'] },
  {
    command: 'mend',
    keys: 'F11',
    says: ['free', 'no such key'],
    offers: ['use'],
    checks: ['no such key'],
    where: { size: 'compact' },
  },
  {
    command: 'mend',
    keys: 'Ctrl+[',
    says: ['free', 'needs AltGr'],
    offers: ['use'],
    checks: ['needs AltGr'],
    where: { layout: 'fr', shape: 'iso' },
  },
  {
    command: 'mend',
    keys: 'Ctrl+Alt+0',
    says: ['free', 'needs Shift', 'types a character'],
    offers: ['use'],
    checks: ['needs Shift', 'types a character'],
    where: { layout: 'fr', shape: 'iso' },
  },
  {
    command: 'bare',
    keys: '^',
    says: ['free', 'dead key'],
    offers: ['use'],
    checks: ['dead key'],
    where: { layout: 'fr', shape: 'iso' },
  },
];

/** What is no longer so once somebody has taken the keys for one alone. */
const SHARED: readonly string[] = ['takes turns with', 'shadows', 'shadowed by'];

/** Whether the check list shows a kind once a choice was made. */
export const isListedAfter = (kind: string, choice: ChoiceKind): boolean =>
  !(SHARED.includes(kind) && ['take', 'swap'].includes(choice));
