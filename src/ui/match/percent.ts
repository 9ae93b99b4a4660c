/** A part of what is done in both, in words where nothing is: then there is nothing to carry over, which is not 0 %. */
export const percent = (part: number | null): string =>
  part === null ? 'nothing in common' : `${Math.round(100 * part)} %`;
