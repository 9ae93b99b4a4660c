import { fold } from '../text/fold';

/** Signs that are read as words. */
const SIGNS: readonly (readonly [sign: RegExp, words: string])[] = [
  [/\bb\s*[&/]\s*w\b/gi, ' black and white '],
  [/(?<![\d:])1\s*:\s*1(?![\d:])/g, ' one to one '],
  [/&/g, ' and '],
  [/(\p{L} ?)\+(?!\p{L})/gu, '$1 plus '],
];

/** The folded words of a name as it is understood: joined words taken apart, signs read, numbers by themselves. */
export function splitName(name: string): string[] {
  let apart = name.replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2');
  if (/[&/:+]/.test(apart)) for (const [sign, words] of SIGNS) apart = apart.replace(sign, words);
  return fold(apart).match(/\d+(?:[.,]\d+)?|\p{L}+/gu) ?? [];
}
