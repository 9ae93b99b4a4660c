import { conceptsOf } from '../glossary/glossary';
import type { Command } from '../program/program';
import { fold } from '../text/fold';

/** A command as the finder sees it: its words, folded once. */
type Entry = {
  readonly command: Command;
  readonly name: string;
  readonly words: readonly string[];
  readonly initials: string;
  readonly path: string;
  readonly pathWords: readonly string[];
  /** The concepts of the glossary that its name speaks of. */
  readonly concepts: readonly number[];
};
export type SearchIndex = readonly Entry[];

/** Prepares commands for search; the order given is kept among equals. */
export function buildSearchIndex(commands: readonly Command[]): SearchIndex {
  return commands.map((command) => {
    const words = wordsOf(command.name);
    const pathWords = command.path.flatMap(wordsOf);
    return {
      command,
      name: words.join(' '),
      words,
      initials: words.map((word) => word[0]).join(''),
      path: pathWords.join(' '),
      pathWords,
      concepts: conceptsOf(words),
    };
  });
}

/** The folded words of a text. */
export function wordsOf(text: string): string[] {
  return fold(text).match(/[\p{L}\p{N}%]+/gu) ?? [];
}
