/** A part of an address as it was meant; as it stands where it is written wrongly, so that nothing is found under it. */
export function addressPart(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}
