'use client';

import { memo } from 'react';
import { keyStrip } from '@/core/keyboard/keyStrip';
import type { KeymapSummary } from '@/core/view/views';
import { useSettings } from '../shell/SettingsContext';

const UNIT = 14;

/** A keymap at a glance: its keys with their pins. */
export const KeyStrip = memo(function KeyStrip({ pins }: Pick<KeymapSummary, 'pins'>) {
  const { keyboard } = useSettings().where;
  const top = keyboard.byCode.get('Digit1')?.y ?? 0;
  return (
    <svg
      width={14.6 * UNIT}
      height={4 * UNIT}
      viewBox={`0 0 ${14.6 * UNIT} ${4 * UNIT}`}
      aria-hidden="true"
      style={{ flex: 'none' }}
    >
      {keyStrip(keyboard, pins).map(({ key, pin }) => {
        const x = key.x * UNIT;
        const y = (key.y - top) * UNIT;
        return (
          <g key={key.code}>
            <rect
              x={x + 0.75}
              y={y + 0.75}
              width={UNIT - 2}
              height={UNIT - 2}
              rx="2.5"
              fill="var(--key)"
              stroke="var(--line-soft)"
              strokeWidth="0.8"
            />
            {pin === 'factory' && <circle cx={x + UNIT / 2} cy={y + UNIT / 2} r="2.6" fill="var(--pin-gray)" />}
            {pin === 'yours' && (
              <>
                <circle cx={x + UNIT / 2} cy={y + UNIT / 2} r="3.8" fill="var(--yours)" />
                <circle cx={x + UNIT / 2} cy={y + UNIT / 2} r="1.2" fill="var(--on-yours)" />
              </>
            )}
          </g>
        );
      })}
    </svg>
  );
});
