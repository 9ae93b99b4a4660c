import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMemo } from 'react';
import { KIND_PLURALS, KINDS } from '@/core/program/program';
import type { Pick } from '../kit/Pick';
import { Ticks } from '../kit/Ticks';
import { toggled } from '../kit/toggled';
import type { OptionProps } from './optionProps';

/** Which commands are on a sheet, where they are chosen by hand, by use or by place. */
export function ChosenOptions({
  given,
  spec,
  onChoose,
  onPick,
}: Pick<OptionProps, 'given' | 'spec' | 'onChoose'> & { readonly onPick: () => void }) {
  const { program } = given.view;
  const menus = useMemo(() => [...new Set(program.commands.map((one) => one.path[0] ?? program.name))], [program]);
  return (
    <>
      {spec.contents === 'picked' && (
        <Button variant="text" onClick={onPick}>
          Pick commands…
        </Button>
      )}
      {spec.contents === 'used' && (
        <TextField
          label="How many"
          type="number"
          value={spec.most}
          slotProps={{ htmlInput: { min: 1, max: 200 } }}
          onChange={(event) => {
            const most = Math.round(Number(event.target.value));
            if (most >= 1 && most <= 1000) onChoose({ most });
          }}
        />
      )}
      {spec.contents === 'places' && (
        <>
          <Ticks
            label="Menus"
            all={menus.map((one) => [one, one])}
            chosen={spec.menus}
            onToggle={(one) => onChoose({ menus: toggled(spec.menus, one) })}
          />
          <Ticks
            label="Kinds"
            all={KINDS.map((one) => [one, KIND_PLURALS[one]])}
            chosen={spec.kinds}
            onToggle={(one) => onChoose({ kinds: toggled(spec.kinds, one) })}
          />
          <Ticks
            label="Where keys are pressed"
            all={program.contexts.map((one) => [one.id, one.name])}
            chosen={spec.contexts}
            onToggle={(one) => onChoose({ contexts: toggled(spec.contexts, one) })}
          />
        </>
      )}
    </>
  );
}
