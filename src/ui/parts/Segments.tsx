'use client';

import { type ReactNode, useId } from 'react';

type Props<T extends string> = {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [T, ReactNode])[];
  readonly onChange: (value: T) => void;
};

/** One choice of a few, side by side: radio buttons with our looks. */
export function Segments<T extends string>({ label, value, options, onChange }: Props<T>) {
  const name = useId();
  return (
    <fieldset style={{ border: 0, margin: 0, padding: 0, minWidth: 0 }}>
      <legend style={{ fontWeight: 700, padding: 0, marginBottom: '0.4rem' }}>{label}</legend>
      <div className="segments">
        {options.map(([option, words]) => (
          <label key={option}>
            <input
              type="radio"
              name={name}
              value={option}
              checked={option === value}
              onChange={() => onChange(option)}
            />
            {words}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
