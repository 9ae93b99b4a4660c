'use client';

import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { memo, useMemo } from 'react';
import type { WishList } from '@/core/advice/wishList';
import type { Modifier } from '@/core/chord/chord';
import { modifierLabel } from '@/core/chord/writeChord';
import { type Uses, usesOf } from '@/core/effort/uses';
import { bindingsOf, type Keymap } from '@/core/keymap/keymap';
import { layersFor } from '@/core/layer/layer';
import type { Program } from '@/core/program/program';
import { HANDS } from '@/core/reach/hand';
import { FilterChip } from '../kit/FilterChip';
import { Row } from '../kit/Row';
import { Segments } from '../kit/Segments';
import { Tick } from '../kit/Tick';
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
    <Stack component="section" className="card" spacing={2} sx={{ px: 4, py: 3 }} aria-label="What may be spent">
      <Row wraps role="group" aria-labelledby="free-hand">
        <strong id="free-hand">Free hand</strong>
        <Segments
          label="Free hand"
          hidden
          value={settings.hand}
          options={HANDS.map((hand) => [hand, HAND_WORDS[hand]])}
          onChange={(hand) => change({ hand })}
        />
        <span className="soft">the other holds the pen</span>
      </Row>
      <Row wraps role="group" aria-labelledby="layers-liked">
        <strong id="layers-liked">Keys you like</strong>
        {layers.map((layer) => (
          <FilterChip
            key={layer.join()}
            pressed={on(layer)}
            onClick={() =>
              onChange({
                layers: on(layer)
                  ? list.layers.filter((one) => one.join() !== layer.join())
                  : layers.filter((one) => on(one) || one === layer),
              })
            }
          >
            {layer.map((one) => modifierLabel(one, notation)).join(' ') || 'bare'}
          </FilterChip>
        ))}
        <FilterChip pressed={list.functionKeys} onClick={() => onChange({ functionKeys: !list.functionKeys })}>
          F keys
        </FilterChip>
      </Row>
      <Row wraps role="group" aria-labelledby="may-be-spent">
        <strong id="may-be-spent">May be spent</strong>
        <span>free keys,</span>
        <Tick checked={list.spendSpares} onChange={(spendSpares) => onChange({ spendSpares })}>
          those of spares ({spares})
        </Tick>
        <Tick checked={list.spendBelow !== null} onChange={(on) => onChange({ spendBelow: on ? SELDOM : null })}>
          and of others used at most
        </Tick>
        <TextField
          type="number"
          className={styles.uses}
          disabled={list.spendBelow === null}
          value={list.spendBelow ?? SELDOM}
          slotProps={{ htmlInput: { min: 0, max: 1000, 'aria-label': 'Uses a day up to which keys may be spent' } }}
          onChange={(event) => {
            const { value, validity } = event.target as HTMLInputElement;
            if (validity.valid && value !== '') onChange({ spendBelow: Number(value) });
          }}
        />
        <span>times a day{list.spendBelow === null ? '' : ` (${seldom})`}; keepers never.</span>
      </Row>
    </Stack>
  );
});
