'use client';

/** The address of a match. */
export function likeAddress(program: string, keymap: string, otherProgram: string, otherKeymap: string): string {
  // A keymap is matched with one of another program.
  const like = program === otherProgram ? '' : `?like=${encodeURIComponent(`${otherProgram}/${otherKeymap}`)}`;
  return `/match/${program}/${keymap}${like}`;
}
