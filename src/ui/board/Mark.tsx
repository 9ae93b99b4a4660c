import type { Finding, Weight } from '@/core/clash/verdict';

export type MarkState = 'free' | 'held' | 'turns' | 'fixed' | 'own' | 'warned' | 'known';

/** The sign for a finding. */
export function markOf(weight: Weight, kind: Finding['kind']): MarkState {
  if (kind === 'already yours') return 'own';
  if (kind === 'takes turns with') return 'turns';
  const marks = { stops: 'fixed', asks: 'held', warns: 'warned', tells: 'known', fine: 'free' } as const;
  return marks[weight];
}

/** The sign before a verdict; a shape for each, so that it reads without color. */
export function Mark({ state }: { state: MarkState }) {
  return (
    <svg
      className="pin"
      width="16"
      height="16"
      viewBox="0 0 16 16"
      aria-hidden="true"
      style={{ marginTop: 'var(--space-1)' }}
    >
      {state === 'free' && <circle cx="8" cy="8" r="5.5" fill="none" stroke="var(--yours)" strokeWidth="2.4" />}
      {state === 'held' && <path d="M8 1 15 8 8 15 1 8z" fill="var(--wrong)" />}
      {state === 'turns' && (
        <path
          d="M3 8a5 5 0 0 1 8.5-3.6M13 8a5 5 0 0 1-8.5 3.6M11.8 1.6v3h-3M4.2 14.4v-3h3"
          fill="none"
          stroke="var(--yours)"
          strokeWidth="1.8"
        />
      )}
      {state === 'fixed' && (
        <path d="M2 2h12v12H2zM2 8l6-6M2 14 14 2M8 14l6-6" fill="none" stroke="var(--wrong)" strokeWidth="1.6" />
      )}
      {state === 'warned' && (
        <path
          d="M8 2 14.5 13.5H1.5zM8 6.5v3.5M8 11.6v.6"
          fill="none"
          stroke="var(--wrong)"
          strokeWidth="1.7"
          strokeLinejoin="round"
        />
      )}
      {state === 'known' && (
        <path d="M8 7v5M8 4v1" fill="none" stroke="var(--soft)" strokeWidth="2" strokeLinecap="round" />
      )}
      {state === 'own' && <path d="m3 8.5 3.5 3.5L13.5 4" fill="none" stroke="var(--yours)" strokeWidth="2.4" />}
    </svg>
  );
}
