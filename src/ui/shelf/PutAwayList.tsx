import Button from '@mui/material/Button';
import { counted } from '@/core/text/sentence';
import styles from './shelf.module.css';
import type { Put, ShelfSteps } from './useShelfSteps';

/** What is put away, and the way back. */
export function PutAwayList({ away, steps }: { readonly away: readonly Put[]; readonly steps: ShelfSteps }) {
  return (
    <section className={styles.program} aria-labelledby="put-away">
      <h2 id="put-away">Put away</h2>
      <ul>
        {away.map(({ program, keymap }) => (
          <li key={`${program.slug} ${keymap?.id ?? ''}`}>
            <span>
              {keymap
                ? `${keymap.name} · ${program.name}`
                : `${program.name} with ${counted(program.keymaps.length, 'keymap')}`}
            </span>
            <Button variant="text" onClick={() => steps.putAway({ program, keymap }, false)}>
              Bring back<span className="hidden"> {keymap?.name ?? program.name}</span>
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
