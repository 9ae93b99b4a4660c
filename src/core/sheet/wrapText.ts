import { type MainFace, widthOf } from './measure';

/**
 * Breaks a text into lines no wider than `width` (at 1 pt), at spaces; a word too long for a line is broken inside.
 */
export function wrapText(text: string, face: MainFace, width: number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(' ')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (widthOf(longer, face) <= width) {
      line = longer;
      continue;
    }
    if (line !== '') lines.push(line);
    line = word;
    while (widthOf(line, face) > width && [...line].length > 1) {
      const letters = [...line];
      let take = 1;
      while (take < letters.length && widthOf(letters.slice(0, take + 1).join(''), face) <= width) take++;
      lines.push(letters.slice(0, take).join(''));
      line = letters.slice(take).join('');
    }
  }
  return [...lines, line];
}
