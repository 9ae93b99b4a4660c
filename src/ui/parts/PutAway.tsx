import Button from '@mui/material/Button';
import { Disclosure } from '../kit/Disclosure';

type Named = { readonly id: number; readonly name: string };

/** What was put away, and each brought back by its button; nothing where there is none. */
export function PutAway<T extends Named>({ away, onBack }: { away: readonly T[]; onBack: (one: T) => void }) {
  if (away.length === 0) return null;
  return (
    <Disclosure title={`Put away: ${away.length}`}>
      <ul>
        {away.map((one) => (
          <li key={one.id}>
            {one.name}{' '}
            <Button variant="text" onClick={() => onBack(one)}>
              Bring back<span className="hidden"> {one.name}</span>
            </Button>
          </li>
        ))}
      </ul>
    </Disclosure>
  );
}
