import { conceptsOf } from '../glossary/glossary';
import type { Command } from '../program/program';
import { wordsOf } from '../text/wordsOf';

/** A command as the finder sees it: its words, folded once. */
export type Entry = {
  readonly command: Command;
  readonly name: string;
  /** The name and the path with a space before, between and after their words, so that one look finds whole words. */
  readonly spacedName: string;
  readonly spacedPath: string;
  readonly words: readonly string[];
  readonly initials: string;
  readonly pathWords: readonly string[];
};
export type SearchIndex = {
  readonly entries: readonly Entry[];
  /** The places in `entries` of the commands whose name speaks of a concept of the glossary. */
  readonly byConcept: ReadonlyMap<number, readonly number[]>;
};

/** Prepares commands for search; the order given is kept among equals. */
export function buildSearchIndex(commands: readonly Command[]): SearchIndex {
  const byConcept = new Map<number, number[]>();
  const entries = commands.map((command, place): Entry => {
    const words = wordsOf(command.name);
    const pathWords = command.path.flatMap(wordsOf);
    for (const concept of conceptsOf(words)) {
      const list = byConcept.get(concept);
      if (list) list.push(place);
      else byConcept.set(concept, [place]);
    }
    return {
      command,
      name: words.join(' '),
      spacedName: ` ${words.join(' ')} `,
      spacedPath: ` ${pathWords.join(' ')} `,
      words,
      initials: words.map((word) => word[0]).join(''),
      pathWords,
    };
  });
  return { entries, byConcept };
}
