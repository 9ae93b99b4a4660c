'use client';

import Link from 'next/link';
import type { RoomView } from '@/core/view/views';
import type { RoomActions } from '../room/useRoom';
import styles from './workspaces.module.css';

type Props = {
  readonly roomView: RoomView;
  readonly programSlug: string;
  readonly actions: RoomActions;
};

/** Which keymap belongs to the room. */
export function KeymapPart({ roomView, programSlug, actions }: Props) {
  const { state, keymaps } = roomView;
  const [factory] = keymaps;
  const now = keymaps.find((one) => one.id === state.room.keymap) ?? factory;
  return (
    <section className={styles.keymaps} aria-label="Keymap">
      <p className="soft">The keys that belong to this workspace. Board and Tryout open with them after a switch.</p>
      <ul className={styles.lines}>
        {keymaps.map((one) => (
          <li key={one.id} className={styles.keymapLine}>
            <label>
              <input
                type="radio"
                name="keymap"
                checked={one.id === now?.id}
                onChange={() => actions.edit(`Keymap ${one.name}`, { keymap: one.id === factory?.id ? null : one.id })}
              />
              <span className={styles.lineName}>
                {one.name}
                {one.owner && <small className="soft">{one.owner}</small>}
              </span>
            </label>
            <Link className="word" href={`/board/${programSlug}/${one.slug}`} prefetch={false}>
              Open<span className="hidden"> {one.name} on the Board</span>
            </Link>
            <Link className="word" href={`/tryout/${programSlug}/${one.slug}`} prefetch={false}>
              Try<span className="hidden"> {one.name}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
