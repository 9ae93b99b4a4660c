'use client';

import { memo, useMemo } from 'react';
import type { WishList } from '@/core/advice/wishList';
import type { Modifier } from '@/core/chord/chord';
import { modifierLabel } from '@/core/chord/writeChord';
import { type Uses, usesOf } from '@/core/effort/uses';
import { layersFor } from '@/core/keyboard/layer';
import { bindingsOf, type Keymap } from '@/core/keymap/keymap';
import type { Program } from '@/core/program/program';
import { HANDS } from '@/core/reach/hand';
import { useSettings } from '../shell/SettingsContext';
import styles from './wishes.module.css';

type Props = {
  readonly list: WishList;
  readonly keymap: Keymap;
  readonly program: Program;
  readonly told: Uses;
  readonly onChange: (values: Partial<WishList>) => void;
};
const HAND_WORDS = { left: 'Left', right: 'Right' } as const;
/** What is offered first as seldom. */
const SELDOM = 1;

/** Which hand is free, which modifiers are liked, and whose keys may be spent. */
export const SpendBar = memo(function SpendBar({ list, keymap, program, told, onChange }: Props) {
  const { settings, change, where } = useSettings();
  const { notation } = settings;
  const layers = useMemo(() => layersFor(where.desktop), [where.desktop]);
  const on = (layer: readonly Modifier[]): boolean => list.layers.some((one) => one.join() === layer.join());
  const spares = useMemo(
    () => [...keymap.spares].reduce((sum, id) => sum + bindingsOf(keymap, id).filter((one) => !one.keeper).length, 0),
    [keymap],
  );
  const seldom = useMemo(
    () =>
      list.spendBelow === null
        ? 0
        : program.commands.filter(
            (one) =>
              !keymap.spares.has(one.id) &&
              !list.wishes.includes(one.id) &&
              usesOf(one, told) <= (list.spendBelow ?? 0) &&
              bindingsOf(keymap, one.id).some((binding) => !binding.keeper),
          ).length,
    [list.spendBelow, list.wishes, program, keymap, told],
  );
  return (
    <section className={`card ${styles.spend}`} aria-label="What may be spent">
      <div className={styles.spendRow} role="group" aria-labelledby="free-hand">
        <strong id="free-hand">Free hand</strong>
        <span className="segments">
          {HANDS.map((hand) => (
            <label key={hand}>
              <input type="radio" name="hand" checked={settings.hand === hand} onChange={() => change({ hand })} />
              {HAND_WORDS[hand]}
            </label>
          ))}
        </span>
        <span className="soft">the other holds the pen</span>
      </div>
      <div className={styles.spendRow} role="group" aria-labelledby="layers-liked">
        <strong id="layers-liked">Keys you like</strong>
        {layers.map((layer) => (
          <button
            key={layer.join()}
            type="button"
            className="chip"
            aria-pressed={on(layer)}
            onClick={() =>
              onChange({
                layers: on(layer)
                  ? list.layers.filter((one) => one.join() !== layer.join())
                  : layers.filter((one) => on(one) || one === layer),
              })
            }
          >
            {layer.map((one) => modifierLabel(one, notation)).join(' ') || 'bare'}
          </button>
        ))}
        <button
          type="button"
          className="chip"
          aria-pressed={list.functionKeys}
          onClick={() => onChange({ functionKeys: !list.functionKeys })}
        >
          F keys
        </button>
      </div>
      <div className={styles.spendRow} role="group" aria-labelledby="may-be-spent">
        <strong id="may-be-spent">May be spent</strong>
        <span>free keys,</span>
        <label className={styles.check}>
          <input
            type="checkbox"
            checked={list.spendSpares}
            onChange={(event) => onChange({ spendSpares: event.target.checked })}
          />
          those of spares ({spares})
        </label>
        <label className={styles.check}>
          <input
            type="checkbox"
            checked={list.spendBelow !== null}
            onChange={(event) => onChange({ spendBelow: event.target.checked ? SELDOM : null })}
          />
          and of others used at most
        </label>
        <input
          type="number"
          className={styles.uses}
          min={0}
          max={1000}
          aria-label="Uses a day up to which keys may be spent"
          disabled={list.spendBelow === null}
          value={list.spendBelow ?? SELDOM}
          onChange={(event) => {
            const value = Number(event.target.value);
            if (event.target.validity.valid && event.target.value !== '') onChange({ spendBelow: value });
          }}
        />
        <span>times a day{list.spendBelow === null ? '' : ` (${seldom})`}; keepers never.</span>
      </div>
    </section>
  );
});
