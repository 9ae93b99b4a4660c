import { refusalOf, WINDOW } from './api';

/**
 * Asks our own server for what it answers in parts, each a line of JSON.
 * @param onPart is given each part as soon as it is there, the first before the others.
 * @throws Refused with a plain sentence when it can't or won't.
 */
export async function askInParts(
  address: string,
  body: FormData,
  left: AbortSignal,
  onPart: (part: unknown, index: number) => void,
): Promise<void> {
  const response = await fetch(address, { method: 'POST', body, signal: left, headers: WINDOW }).catch((error) => {
    throw refusalOf(error);
  });
  if (!response.ok || !response.body) throw refusalOf(await response.json().catch(() => null));
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  let index = 0;
  for (;;) {
    const { done, value } = await reader.read();
    const lines = (rest + (value ?? '')).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) {
      onPart(JSON.parse(line), index++);
      // Other things are let in between two pages.
      await new Promise((next) => setTimeout(next));
    }
    if (done) return;
  }
}
