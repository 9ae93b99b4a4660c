import type { ChordText } from '../chord/chord';
import { DESKTOP_KEYS } from '../desktop/desktopKeys';
import type { TypingTrouble } from '../keyboard/typing';
import type { Where } from '../keyboard/where';
import { formOf } from '../program/formOf';
import type { Command, Form } from '../program/program';
import { type ClashIndex, type Holder, relation } from './clashIndex';

/** One thing there is to say about a chord for a command. */
export type Finding =
  | { readonly kind: 'free' }
  | { readonly kind: 'already yours' }
  | { readonly kind: 'fixed by the program'; readonly why: string }
  | { readonly kind: 'not allowed'; readonly form: Form; readonly command: Command }
  | { readonly kind: 'no sequences' }
  | { readonly kind: 'held by'; readonly holders: readonly Holder[] }
  | { readonly kind: 'takes turns with'; readonly holders: readonly Holder[] }
  /** The command is heard in a narrower context, and there instead of the holders. */
  | { readonly kind: 'shadows'; readonly holders: readonly Holder[] }
  /** The holders are heard in narrower contexts, and there instead of the command. */
  | { readonly kind: 'shadowed by'; readonly holders: readonly Holder[] }
  | { readonly kind: 'also a hold key'; readonly holders: readonly Holder[]; readonly held: boolean }
  | { readonly kind: 'in a sequence'; readonly holders: readonly Holder[]; readonly begins: boolean }
  | { readonly kind: 'from the number pad'; readonly holders: readonly Holder[]; readonly chord: ChordText }
  | { readonly kind: 'taken by the desktop'; readonly does: string }
  | { readonly kind: 'opens a menu'; readonly menu: string }
  | TypingTrouble;
export type FindingKind = Finding['kind'];

/** How much a finding weighs: it can't be done; it has to be decided; it is to be known before; it is a thing to know; nothing. */
export type Weight = 'stops' | 'asks' | 'warns' | 'tells' | 'fine';
const WEIGHTS: Readonly<Record<FindingKind, Weight>> = {
  'fixed by the program': 'stops',
  'not allowed': 'stops',
  'no sequences': 'stops',
  'held by': 'asks',
  'takes turns with': 'tells',
  shadows: 'tells',
  'shadowed by': 'tells',
  'no such key': 'warns',
  'needs AltGr': 'warns',
  'types a character': 'warns',
  'taken by the desktop': 'warns',
  'opens a menu': 'warns',
  'in a sequence': 'warns',
  'dead key': 'warns',
  'needs Shift': 'tells',
  'also a hold key': 'tells',
  'from the number pad': 'tells',
  'already yours': 'fine',
  free: 'fine',
};
export const weightOf = (finding: Finding): Weight =>
  finding.kind === 'types a character' && !finding.sure ? 'tells' : WEIGHTS[finding.kind];

/** What pressing a chord for a command would mean: the findings, the one that decides first. */
export type Verdict = { readonly chord: ChordText; readonly findings: readonly Finding[] };

/** The heaviest weight among the findings of a verdict. */
export function verdictWeight({ findings }: Verdict): Weight {
  return (
    (['stops', 'asks', 'warns', 'tells'] as const).find((one) => findings.some((f) => weightOf(f) === one)) ?? 'fine'
  );
}

/** The verdict on a chord for a command: a few looks into the index. */
export function verdict(index: ClashIndex, where: Where, command: Command, chord: ChordText): Verdict {
  const here = index.holders.get(where.place(chord));
  const own = here?.some((holder) => holder.command.id === command.id) ?? false;
  const others = findingsFor(index, where, command, chord);
  if (own) return { chord, findings: [{ kind: 'already yours' }, ...others] };
  const taken = others.some(({ kind }) => DECIDES.has(kind));
  return { chord, findings: taken ? others : [{ kind: 'free' }, ...others] };
}
const DECIDES: ReadonlySet<FindingKind> = new Set<FindingKind>([
  'fixed by the program',
  'not allowed',
  'no sequences',
  'held by',
  'takes turns with',
  'shadows',
  'shadowed by',
]);

/** Everything to say about a chord on a command, whether it has it or is to get it; the command's own binding is left out. */
export function findingsFor(index: ClashIndex, where: Where, command: Command, chord: ChordText): Finding[] {
  const { facts } = index;
  const at = where.place(chord);
  const findings: Finding[] = [];
  const why = facts.fixed.get(at) ?? facts.fixed.get(chord);
  if (why !== undefined) findings.push({ kind: 'fixed by the program', why });
  const { rules } = facts.program;
  const sequence = chord.includes(' ');
  if (sequence && !rules.sequences) findings.push({ kind: 'no sequences' });
  const form = formOf(chord);
  if (!rules.forms[command.kind].includes(form)) findings.push({ kind: 'not allowed', form, command });
  holding(index, command, at, findings);
  const held = chord.startsWith('hold:');
  const counterpart = others(index, command, held ? at.slice(5) : `hold:${at}`);
  if (counterpart.length > 0) findings.push({ kind: 'also a hold key', holders: counterpart, held });
  const begun = index.sequences.size === 0 ? NOBODY : others(index, command, at, 'sequences');
  if (begun.length > 0) findings.push({ kind: 'in a sequence', holders: begun, begins: true });
  const first = sequence ? others(index, command, at.slice(0, at.indexOf(' '))) : NOBODY;
  if (first.length > 0) findings.push({ kind: 'in a sequence', holders: first, begins: false });
  const twin = padTwin(chord);
  const onTwin = twin === null ? NOBODY : others(index, command, where.place(twin));
  if (twin !== null && onTwin.length > 0) findings.push({ kind: 'from the number pad', holders: onTwin, chord: twin });
  const does = DESKTOP_KEYS[where.desktop].get(at) ?? DESKTOP_KEYS[where.desktop].get(chord);
  if (does !== undefined) findings.push({ kind: 'taken by the desktop', does });
  const letter = facts.menuOf.size === 0 || where.desktop === 'mac' || !at.startsWith('Alt+') ? '' : at.slice(4);
  const menu = facts.menuOf.get(letter);
  if (menu !== undefined) findings.push({ kind: 'opens a menu', menu });
  for (const trouble of where.typing(chord)) findings.push(trouble);
  return findings;
}

const NOBODY: readonly Holder[] = [];

/** Those other than the command who hold a chord where it would be heard, too. */
function others(
  index: ClashIndex,
  command: Command,
  at: ChordText,
  list: 'holders' | 'sequences' = 'holders',
): readonly Holder[] {
  const all = index[list].get(at);
  if (!all) return NOBODY;
  return all.filter(
    (holder) => holder.command.id !== command.id && index.facts.meets.get(command.context)?.has(holder.command.context),
  );
}

function holding(index: ClashIndex, command: Command, at: ChordText, findings: Finding[]): void {
  const here = index.holders.get(at);
  if (!here || (here.length === 1 && here[0]?.command.id === command.id)) return;
  const { facts } = index;
  const meets = facts.meets.get(command.context);
  const groups = new Map<Sharing, Holder[]>();
  for (const holder of here) {
    if (!meets?.has(holder.command.context) || holder.command.id === command.id) continue;
    const how = relation(facts, command, holder.command);
    const kind =
      how === 'clash'
        ? 'held by'
        : how === 'turns'
          ? 'takes turns with'
          : isInside(index, command, holder.command)
            ? 'shadows'
            : 'shadowed by';
    const group = groups.get(kind);
    if (group) group.push(holder);
    else groups.set(kind, [holder]);
  }
  for (const kind of SHARING) {
    const holders = groups.get(kind);
    if (holders) findings.push({ kind, holders });
  }
}

const SHARING = ['held by', 'takes turns with', 'shadows', 'shadowed by'] as const;
type Sharing = (typeof SHARING)[number];

/** Whether the context of the first lies inside the context of the second. */
function isInside({ facts }: ClashIndex, inner: Command, outer: Command): boolean {
  return facts.around.get(inner.context)?.has(outer.context) ?? false;
}

const TWINS: readonly (readonly [pad: string, key: string])[] = [
  ['NumpadAdd', 'Plus'],
  ['NumpadSubtract', '-'],
  ['NumpadMultiply', '*'],
  ['NumpadDivide', '/'],
  ['NumpadDecimal', '.'],
  ['NumpadEnter', 'Enter'],
  ['NumpadEqual', '='],
  ...Array.from({ length: 10 }, (_, n) => [`Numpad${n}`, `${n}`] as const),
];
const TWIN_OF = new Map(TWINS.flatMap(([pad, key]) => [[pad, key] as const, [key, pad] as const]));

/** The same chord with the key of the number pad for that of the main block, or the other way; null where there is none. */
export function padTwin(chord: ChordText): ChordText | null {
  if (chord.includes(' ')) return null;
  const cut = chord.lastIndexOf('+') + 1 || chord.indexOf(':') + 1;
  const twin = TWIN_OF.get(chord.slice(cut));
  return twin === undefined ? null : chord.slice(0, cut) + twin;
}
