import Button from '@mui/material/Button';
import {
  EXTRAS,
  type Extra,
  GROUPINGS,
  type Grouping,
  ORDERS,
  type Order,
  SHEET_NOTATIONS,
  type SheetNotation,
} from '@/core/sheet/sheetSpec';
import type { Pick } from '../kit/Pick';
import { Segments } from '../kit/Segments';
import { Ticks } from '../kit/Ticks';
import { toggled } from '../kit/toggled';
import type { OptionProps } from './optionProps';

const NOTATION_WORDS: Readonly<Record<SheetNotation, string>> = {
  windows: 'Windows',
  mac: 'Mac',
  symbols: '⌘ ⌥',
  both: 'Both',
};
const GROUP_WORDS: Readonly<Record<Grouping, string>> = { menu: 'Menu', task: 'Task', modifier: 'Modifier' };
const ORDER_WORDS: Readonly<Record<Order, string>> = { menu: 'Menu', name: 'Name', key: 'Key' };
const EXTRA_WORDS: Readonly<Record<Extra, string>> = {
  changed: 'A dot where it changed',
  marks: 'Marks of menu lines',
  hooks: 'Memory hooks',
  path: 'Where it lives',
  was: 'What it was before',
};

/** How lines are written, grouped and ordered, and what else stands in them. */
export function LineOptions({
  spec,
  onChoose,
  onNames,
}: Pick<OptionProps, 'spec' | 'onChoose'> & { readonly onNames: () => void }) {
  const several = spec.form === 'programs';
  return (
    <>
      <Segments
        label="Keys written for"
        value={spec.notation}
        onChange={(notation) => onChoose({ notation })}
        options={SHEET_NOTATIONS.filter((one) => !several || one !== 'both').map(
          (one) => [one, NOTATION_WORDS[one]] as const,
        )}
      />
      {spec.form !== 'steps' && (
        <>
          <Segments
            label="Grouped by"
            value={spec.group}
            onChange={(group) => onChoose({ group })}
            options={GROUPINGS.filter((one) => !several || one !== 'modifier').map(
              (one) => [one, GROUP_WORDS[one]] as const,
            )}
          />
          <Button variant="text" onClick={onNames}>
            Name the groups…
          </Button>
          <Segments
            label="Ordered by"
            value={spec.order}
            onChange={(order) => onChoose({ order })}
            options={ORDERS.filter((one) => !several || one !== 'key').map((one) => [one, ORDER_WORDS[one]] as const)}
          />
          {!several && (
            <Ticks
              label="Also on it"
              all={[...EXTRAS.map((one) => [one, EXTRA_WORDS[one]] as const), ['keyless', 'Commands without keys']]}
              chosen={[...spec.extras, ...(spec.keyless ? ['keyless' as const] : [])]}
              onToggle={(one) =>
                onChoose(one === 'keyless' ? { keyless: !spec.keyless } : { extras: toggled(spec.extras, one) })
              }
            />
          )}
        </>
      )}
    </>
  );
}
