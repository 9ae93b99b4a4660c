import type { Binding } from '@/core/keymap/keymap';
import { KeyCaps } from './KeyCaps';

/** The keys of a command, or that it has none. */
export function KeysThere({ keys, none = 'none' }: { readonly keys: readonly Binding[]; readonly none?: string }) {
  if (keys.length === 0) return <span className="soft">{none}</span>;
  return (
    <span className="chords">
      {keys.map((one) => (
        <KeyCaps key={one.chord} chord={one.chord} />
      ))}
    </span>
  );
}
