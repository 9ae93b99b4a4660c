'use client';

import { memo } from 'react';
import { parseCanonical } from '@/core/chord/parseChord';
import { strokeCaps, writeChord } from '@/core/chord/writeChord';
import { useSettings } from '../shell/SettingsContext';

/** A chord as key caps, in the notation of the screen. */
export const KeyCaps = memo(function KeyCaps({
  chord,
  big = false,
  silent = false,
}: {
  chord: string;
  big?: boolean;
  /** Left out for those who listen, where what is around says the keys already. */
  silent?: boolean;
}) {
  const { notation } = useSettings().settings;
  const parsed = parseCanonical(chord);
  if (!parsed) return <span className="cap">{chord}</span>;
  return (
    <span className={big ? 'caps big' : 'caps'}>
      {!silent && <span className="hidden">{writeChord(parsed, notation)}</span>}
      {parsed.hold && (
        <span className="joint" aria-hidden="true">
          hold
        </span>
      )}
      {parsed.strokes.map((stroke, s) => (
        <span key={s} className="caps" aria-hidden="true">
          {s > 0 && <span className="joint">then</span>}
          {strokeCaps(stroke, notation).map((cap, i) => (
            <kbd key={i} className="cap">
              {cap}
            </kbd>
          ))}
        </span>
      ))}
    </span>
  );
});
