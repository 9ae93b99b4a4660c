/**
 * A chord: one or more strokes, pressed or held. A stroke is modifiers plus one key.
 *
 * `Mod` is Ctrl on Windows and Linux and Command on Mac; `Ctrl` is the Mac's Control alone.
 * A key is an upper-case letter, a digit, the character printed unshifted on the keyboard, `Plus`, or a key name of the
 * W3C UI Events standard (`F5`, `PageUp`, `NumpadAdd`). Only a held stroke may have no key.
 */
export const MODIFIERS = ['Mod', 'Ctrl', 'Alt', 'Shift', 'Meta'] as const;
export type Modifier = (typeof MODIFIERS)[number];

export type Stroke = { readonly modifiers: readonly Modifier[]; readonly key: string | null };
export type Chord = { readonly hold: boolean; readonly strokes: readonly Stroke[] };

/** Canonical text of a chord (`Mod+Alt+E`, `hold:Space`); the form that is stored and compared. */
export type ChordText = string;

/** The given modifiers, each once, in the order every notation of ours starts from. */
export function inOrder(modifiers: Iterable<Modifier>): Modifier[] {
  const given = new Set(modifiers);
  return MODIFIERS.filter((modifier) => given.has(modifier));
}

/** A pressed chord of one stroke. */
export function press(modifiers: Iterable<Modifier>, key: string): Chord {
  return { hold: false, strokes: [{ modifiers: inOrder(modifiers), key }] };
}

/** Canonical text: modifiers in fixed order joined by `+`, strokes by a space, `hold:` before a held chord. */
export function canonicalText(chord: Chord): ChordText {
  const strokes = chord.strokes.map((stroke) =>
    [...inOrder(stroke.modifiers), ...(stroke.key === null ? [] : [stroke.key])].join('+'),
  );
  return (chord.hold ? 'hold:' : '') + strokes.join(' ');
}
