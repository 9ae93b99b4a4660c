'use client';

import type { Binding } from '@/core/keymap/keymap';
import type { Change } from '@/core/keymap/ticket';
import { Row } from '../kit/Row';
import { KeyCaps } from '../parts/KeyCaps';

/** What a change does to one command: its keys before and after, and what else was marked. */
export function ChangeLine({ name, change }: { name: string; change: Change }) {
  const marks = markWords(change);
  const keysSame = change.before.map((one) => one.chord).join(' ') === change.after.map((one) => one.chord).join(' ');
  return (
    <Row component="li" wraps>
      <strong>{name}</strong>
      {!keysSame && (
        <span className="chords">
          <Keys bindings={change.before} />
          <span aria-hidden="true">→</span>
          <span className="hidden">to</span>
          <Keys bindings={change.after} />
        </span>
      )}
      {marks && <span className="soft">{marks}</span>}
    </Row>
  );
}

function Keys({ bindings }: { bindings: readonly Binding[] }) {
  if (bindings.length === 0) return <span className="soft">no key</span>;
  return bindings.map((one) => <KeyCaps key={one.chord} chord={one.chord} />);
}

/** What was marked besides the keys, in words; empty when nothing was. */
export function markWords({ before, after, spare }: Change): string {
  const words: string[] = [];
  if (spare && spare[0] !== spare[1]) words.push(spare[1] ? 'spare' : 'no longer spare');
  for (const one of after) {
    const had = before.find((other) => other.chord === one.chord);
    if (!had) continue;
    if (had.keeper !== one.keeper) words.push(one.keeper ? 'keeper' : 'no longer a keeper');
    if (had.hook !== one.hook) words.push(one.hook === undefined ? 'hook taken away' : `“${one.hook}”`);
  }
  return words.join(', ');
}
