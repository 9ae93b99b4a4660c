'use client';

import { DESKTOP_NAMES, DESKTOPS } from '@/core/desktop/desktopKeys';
import { LAYOUTS } from '@/core/keyboard/layouts';
import { KINDS } from '@/core/program/program';
import type { MatchPlan } from '@/core/transfer/matchPlan';
import type { TransferRules } from '@/core/transfer/transferTypes';
import { useSettings } from '../shell/SettingsContext';
import styles from './match.module.css';

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
    <fieldset className={styles.rules}>
      <legend>For all lines</legend>
      <Check
        words="Only tools"
        checked={onlyTools}
        onChange={(on) => change({ kinds: on ? (['tool'] as const) : KINDS })}
      />
      <Check
        words="Only where mine has no key"
        checked={rules.onlyEmpty}
        onChange={(onlyEmpty) => change({ onlyEmpty })}
      />
      <Check
        words="Keep mine where it is easier to reach"
        checked={rules.preferEasier}
        onChange={(preferEasier) => change({ preferEasier })}
      />
      <Check words="Keep my keys besides theirs" checked={rules.besides} onChange={(besides) => change({ besides })} />
      <label className={styles.made}>
        <span>Theirs was made on</span>
        <select
          aria-label={`What the keymap of ${there} was made on`}
          value={madeOn ? madeOn.desktop : ''}
          onChange={(event) => {
            const desktop = DESKTOPS.find((one) => one === event.target.value);
            onChange({ madeOn: desktop ? { ...choice, desktop } : null });
          }}
        >
          <option value="">this desktop and keyboard</option>
          {DESKTOPS.map((one) => (
            <option key={one} value={one}>
              {DESKTOP_NAMES[one]}
            </option>
          ))}
        </select>
      </label>
      {madeOn && <KeyboardMade madeOn={madeOn} onChange={(next) => onChange({ madeOn: next })} />}
      <p className={styles.safe}>
        <strong>Keepers are safe.</strong> They stay where they are, even where {there} differs.
      </p>
    </fieldset>
  );
}

function Check({ words, checked, onChange }: { words: string; checked: boolean; onChange: (on: boolean) => void }) {
  return (
    <label className={styles.check}>
      <input type="checkbox" checked={checked} onChange={(event) => onChange(event.target.checked)} />
      {words}
    </label>
  );
}

type Made = NonNullable<MatchPlan['madeOn']>;

function KeyboardMade({ madeOn, onChange }: { madeOn: Made; onChange: (made: Made) => void }) {
  return (
    <>
      <label className={styles.made}>
        <span>with the keyboard</span>
        <select
          aria-label="The language of that keyboard"
          value={madeOn.layout}
          onChange={(event) => onChange({ ...madeOn, layout: event.target.value })}
        >
          {LAYOUTS.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <label className={styles.made}>
        <span>and comes over by</span>
        <select
          aria-label="What stays the same"
          value={madeOn.move}
          onChange={(event) =>
            onChange({ ...madeOn, move: event.target.value === 'positions' ? 'positions' : 'letters' })
          }
        >
          <option value="letters">letters</option>
          <option value="positions">positions of the keys</option>
        </select>
      </label>
    </>
  );
}
