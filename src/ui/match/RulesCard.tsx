'use client';

import Stack from '@mui/material/Stack';
import { DESKTOP_NAMES, DESKTOPS } from '@/core/desktop/desktopKeys';
import { LAYOUTS } from '@/core/keyboard/layouts';
import { KINDS } from '@/core/program/program';
import type { MatchPlan } from '@/core/transfer/matchPlan';
import type { TransferRules } from '@/core/transfer/transferTypes';
import { Pick } from '../kit/Pick';
import { Tick } from '../kit/Tick';
import { useSettings } from '../shell/SettingsContext';

type Props = {
  readonly plan: MatchPlan;
  readonly there: string;
  readonly onChange: (values: Partial<MatchPlan>) => void;
};

/** What holds for all lines that were not settled by hand. */
export function RulesCard({ plan, there, onChange }: Props) {
  const { where } = useSettings();
  const { rules, madeOn } = plan;
  const change = (values: Partial<TransferRules>): void => onChange({ rules: { ...rules, ...values } });
  const onlyTools = rules.kinds.length === 1 && rules.kinds[0] === 'tool';
  const choice = madeOn ?? { ...where.keyboard.choice, desktop: where.desktop, move: 'letters' as const };
  return (
    <Stack component="fieldset" spacing={2}>
      <legend>For all lines</legend>
      <Tick checked={onlyTools} onChange={(on) => change({ kinds: on ? (['tool'] as const) : KINDS })}>
        Only tools
      </Tick>
      <Tick checked={rules.onlyEmpty} onChange={(onlyEmpty) => change({ onlyEmpty })}>
        Only where mine has no key
      </Tick>
      <Tick checked={rules.preferEasier} onChange={(preferEasier) => change({ preferEasier })}>
        Keep mine where it is easier to reach
      </Tick>
      <Tick checked={rules.besides} onChange={(besides) => change({ besides })}>
        Keep my keys besides theirs
      </Tick>
      <Pick
        label={`What the keymap of ${there} was made on`}
        full
        value={madeOn?.desktop ?? ''}
        options={[['', 'this desktop and keyboard'], ...DESKTOPS.map((one) => [one, DESKTOP_NAMES[one]] as const)]}
        onChange={(desktop) => onChange({ madeOn: desktop === '' ? null : { ...choice, desktop } })}
      />
      {madeOn && <KeyboardMade madeOn={madeOn} onChange={(next) => onChange({ madeOn: next })} />}
      <p>
        <strong>Keepers are safe.</strong> They stay where they are, even where {there} differs.
      </p>
    </Stack>
  );
}

type Made = NonNullable<MatchPlan['madeOn']>;

function KeyboardMade({ madeOn, onChange }: { madeOn: Made; onChange: (made: Made) => void }) {
  return (
    <>
      <Pick
        label="The language of that keyboard"
        full
        value={madeOn.layout}
        options={LAYOUTS.map(({ id, name }) => [id, name])}
        onChange={(layout) => onChange({ ...madeOn, layout })}
      />
      <Pick
        label="What stays the same"
        full
        value={madeOn.move}
        options={[
          ['letters', 'letters'],
          ['positions', 'positions of the keys'],
        ]}
        onChange={(move) => onChange({ ...madeOn, move })}
      />
    </>
  );
}
