import type { Choices } from '../reading/choices';
import type { Corrections } from '../reading/correctRows';
import { decodeText } from '../reading/decodeText';
import { isPacked } from '../reading/forms/readWorkbook';
import { type FormRead, UnreadableList } from '../reading/tables';
import { editedBytes, encodeText } from './editedBytes';
import { joined, type TextEdit } from './edits';
import { ON_MAC, writeMacVersion } from './macVersion';
import { matchListed } from './matchListed';
import type { Listed } from './placesOf';
import { readBook } from './readBook';
import { inFileOrder } from './sorts';
import { readSource, type SourceText, spellingOf, type Wanted } from './sourceText';
import { NO_KEY, type Said, SEVERAL, type SpelledWord, type Spelling } from './spelling';
import { type WrittenCommand, writeBack } from './writeBack';

/** A file as it came, with what was said of how it is read. */
export type FileBytes = {
  readonly bytes: Uint8Array;
  readonly choices: Choices;
  readonly corrections: Corrections;
};
/** How a file writes keys, as far as a person is told. */
export type SpellingTold = Pick<Spelling, 'joint' | 'several' | 'none' | 'noneGuessed' | 'learnedFrom'> & {
  /** The modifiers of the file, as it writes them, in its order. */
  readonly order: readonly string[];
  /** What there is no word for, to be said. */
  readonly missing: readonly string[];
  /** The words that are written now, those that are guessed first. */
  readonly words: readonly SpelledWord[];
};
/** A file with keys written into it, and all that is told of that. */
export type FileWritten = {
  readonly bytes: Uint8Array;
  readonly text: string;
  readonly edits: readonly TextEdit[];
  readonly form: FormRead;
  readonly encoding: string;
  readonly commands: readonly Pick<WrittenCommand, 'id' | 'did' | 'why'>[];
  readonly asWanted: number;
  readonly of: number;
  /** The same of its part for a Mac, where it holds one. */
  readonly mac: { readonly asWanted: number; readonly of: number } | null;
  readonly spelling: SpellingTold;
};

/**
 * Writes the keys of a keymap into a file, byte for byte as it is but for these.
 * @param source the file by which keys are spelled.
 * @param into a newer copy of it that is written into; null for the same.
 * @throws UnreadableList with a plain sentence where a file can't be read any more.
 */
export function writeFile(
  source: FileBytes,
  into: FileBytes | null,
  wanted: readonly Wanted[],
  said: Said,
): FileWritten {
  const { encoding: firstEncoding, source: first } = understood(source);
  const newer = into && understood(into);
  const target = newer?.source ?? first;
  // A file in another form is spelled by itself.
  const spelledBy: SourceText = target.reading.format === first.reading.format ? first : target;
  const encoding = newer?.encoding ?? firstEncoding;
  const spelling = asSaid(spellingOf(spelledBy), said);
  const encodes = (text: string): boolean => encodeText(text, encoding) !== null;
  const named = matchListed(listedIn(target), newer ? matchListed(listedIn(spelledBy), wanted) : wanted);
  const written = writeBack(spelledBy, spelling, target, named, said, encodes);
  const changed = new Set(written.commands.flatMap(({ id, did }) => (did === 'nothing' ? [] : [id])));
  const mac = writeMacVersion(target, named, changed, said, encodes);
  const words = new Map<string, SpelledWord>();
  for (const one of written.commands.flatMap((command) => command.words)) words.set(one.what, one);
  for (const one of mac?.written.commands.flatMap((command) => command.words) ?? [])
    words.set(ON_MAC + one.what, { ...one, what: ON_MAC + one.what });
  const edits = (mac && joined([...written.edits, ...mac.written.edits])) ?? written.edits;
  const { joint, several, learnedFrom, noneGuessed, none } = spelling;
  return {
    bytes: bytesWith(into ?? source, target, encoding, edits),
    text: target.text,
    edits,
    form: target.reading.format,
    encoding,
    commands: [...written.commands, ...(mac?.others ?? [])].map(({ id, did, why }) => ({ id, did, why })),
    asWanted: written.asWanted,
    of: written.of,
    mac: mac && { asWanted: mac.written.asWanted, of: mac.written.of },
    spelling: {
      joint,
      several,
      learnedFrom,
      noneGuessed,
      none,
      order: inFileOrder([...spelling.modifiers.keys()], spelling).flatMap((one) => spelling.modifiers.get(one) ?? []),
      missing: [...new Set(written.commands.flatMap(({ why }) => why?.missing ?? []))],
      words: [...words.values()].sort((a, b) => Number(b.guessed) - Number(a.guessed)),
    },
  };
}

/** A spelling with what was said of it besides words. */
const asSaid = (spelling: Spelling, said: Said): Spelling => ({
  ...spelling,
  several: said[SEVERAL] ?? spelling.several,
  ...(said[NO_KEY] === undefined ? {} : { none: { kind: 'text', raw: said[NO_KEY] }, noneGuessed: false }),
});

const listedIn = ({ places: { listed, asleep } }: SourceText): ReadonlyMap<string, Listed> =>
  new Map([...asleep, ...listed]);

function bytesWith({ bytes }: FileBytes, target: SourceText, encoding: string, edits: readonly TextEdit[]): Uint8Array {
  if (!target.pack) return editedBytes(bytes, target.text, encoding, edits);
  // What has to be packed again is, for what is written alone.
  return edits.length === 0 ? bytes : (target.pack(edits) ?? bytes);
}

/** A file understood, in the way its bytes ask for. @throws UnreadableList where it is no list. */
function understood({ bytes, choices, corrections }: FileBytes): {
  readonly source: SourceText;
  readonly encoding: string;
} {
  if (isPacked(bytes)) return { source: readBook(bytes, choices, corrections), encoding: 'packed' };
  const decoded = decodeText(bytes);
  if (!decoded.ok) throw new UnreadableList(decoded.message);
  return { source: readSource(decoded.text, choices, corrections), encoding: decoded.encoding };
}
