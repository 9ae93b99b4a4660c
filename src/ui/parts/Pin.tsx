export type PinState = 'factory' | 'yours' | 'keeper' | 'spare' | 'clash' | 'shared' | 'fixed';

/** The mark of a binding. Each state has a shape of its own, so that nothing is told by color alone. */
export function Pin({ state, size = 12 }: { state: PinState; size?: number }) {
  return (
    <svg className="pin" width={size} height={size} viewBox="0 0 12 12" aria-hidden="true">
      {state === 'factory' && <circle cx="6" cy="6" r="4.6" fill="var(--pin-gray)" />}
      {state === 'yours' && (
        <>
          <circle cx="6" cy="6" r="5" fill="var(--yours)" />
          <circle cx="6" cy="6" r="1.5" fill="var(--on-yours)" />
        </>
      )}
      {state === 'keeper' && (
        <>
          <circle cx="6" cy="6" r="5.3" fill="none" stroke="var(--text)" strokeWidth="1.2" />
          <circle cx="6" cy="6" r="3.2" fill="var(--pin-gray)" />
        </>
      )}
      {state === 'spare' && (
        <circle cx="6" cy="6" r="4.8" fill="none" stroke="var(--text)" strokeWidth="1.2" strokeDasharray="2.2 1.6" />
      )}
      {state === 'clash' && <path d="M6 .3 11.7 6 6 11.7.3 6z" fill="var(--wrong)" />}
      {state === 'shared' && (
        <>
          <circle cx="4.2" cy="6" r="3.4" fill="var(--pin-gray)" />
          <circle cx="8.2" cy="6" r="3.4" fill="var(--pin-gray)" stroke="var(--key)" strokeWidth="1" />
        </>
      )}
      {state === 'fixed' && (
        <path d="M1 1h10v10H1zM1 6l5-5M1 11 11 1M6 11l5-5" fill="none" stroke="var(--pin-gray)" strokeWidth="1.3" />
      )}
    </svg>
  );
}
