type Named = { readonly id: number; readonly name: string };

/** What was put away, and each brought back by its button; nothing where there is none. */
export function PutAway<T extends Named>({ away, onBack }: { away: readonly T[]; onBack: (one: T) => void }) {
  if (away.length === 0) return null;
  return (
    <details className="put-away">
      <summary>Put away: {away.length}</summary>
      <ul>
        {away.map((one) => (
          <li key={one.id}>
            {one.name}{' '}
            <button type="button" className="word" onClick={() => onBack(one)}>
              Bring back<span className="hidden"> {one.name}</span>
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
