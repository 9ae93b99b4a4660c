import Button from '@mui/material/Button';
import type { Keymap } from '@/core/keymap/keymap';
import {
  BUTTON_SIZES,
  type ButtonSize,
  gatherTurns,
  MOST_COLUMNS,
  type Strip,
  type StripName,
  type ToolLayout,
  turnsApart,
} from '@/core/workspace/toolLayout';
import { Segments } from '../kit/Segments';
import { STRIP_WORDS } from './stripWords';

const SIZE_WORDS: Readonly<Record<ButtonSize, string>> = { small: 'Small', medium: 'Medium', large: 'Large' };

type Props = {
  readonly tools: ToolLayout;
  readonly name: StripName;
  readonly keymap: Keymap;
  readonly put: (title: string, next: Strip) => void;
  readonly change: (title: string, next: Partial<ToolLayout>) => void;
};

/** How large the buttons of a strip are, in how many columns, and what stands under them. */
export function StripLook({ tools, name, keymap, put, change }: Props) {
  const strip: Strip = tools[name];
  const gathered = gatherTurns(strip.groups, keymap);
  const canGather = turnsApart(strip.groups, keymap);
  return (
    <>
      <Segments
        label="Button size"
        value={strip.size}
        options={BUTTON_SIZES.map((one) => [one, SIZE_WORDS[one]] as const)}
        onChange={(size) => put(`${SIZE_WORDS[size]} buttons on the ${STRIP_WORDS[name]}`, { ...strip, size })}
      />
      <Segments
        label="Under the icons"
        value={strip.words ? 'words' : 'nothing'}
        options={[
          ['nothing', 'Nothing'],
          ['words', 'Words'],
        ]}
        onChange={(next) =>
          put(`${next === 'words' ? 'Words' : 'No words'} on the ${STRIP_WORDS[name]}`, {
            ...strip,
            words: next === 'words',
          })
        }
      />
      {name === 'rail' && (
        <Segments
          label="Columns"
          value={String(tools.rail.columns)}
          options={Array.from({ length: MOST_COLUMNS }, (_, i) => [String(i + 1), String(i + 1)] as const)}
          onChange={(next) =>
            change(`Tool rail in columns: ${next}`, { rail: { ...tools.rail, columns: Number(next) } })
          }
        />
      )}
      <div>
        <Button
          variant="text"
          aria-disabled={!canGather}
          onClick={() => canGather && put('Put those that share a key together', { ...strip, groups: gathered })}
        >
          Put those that share a key together
        </Button>
        <p className="soft">
          {canGather
            ? 'Tools that take turns on one key stand apart now.'
            : 'Those that take turns on one key are together.'}
        </p>
      </div>
    </>
  );
}
