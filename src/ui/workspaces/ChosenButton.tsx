import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { CommandId } from '@/core/program/program';
import { removeButton, type Strip, type StripName, stepButton, type ToolLayout } from '@/core/workspace/toolLayout';
import { Row } from '../kit/Row';
import { CommandIcon } from '../room/CommandIcon';
import { IconChooser } from './IconChooser';
import { STRIP_WORDS } from './stripWords';

type Props = {
  readonly tools: ToolLayout;
  readonly name: StripName;
  readonly chosen: CommandId;
  readonly nameOf: (id: CommandId) => string;
  readonly put: (title: string, next: Strip) => void;
  readonly change: (title: string, next: Partial<ToolLayout>) => void;
  /** It was taken off. */
  readonly onGone: () => void;
};

/** The button that is chosen: where it stands, and its icon. */
export function ChosenButton({ tools, name, chosen, nameOf, put, change, onGone }: Props) {
  const strip: Strip = tools[name];
  const moveTitle = `Move ${nameOf(chosen)} on the ${STRIP_WORDS[name]}`;
  return (
    <Box component="section" sx={{ px: 4, py: 3, background: 'var(--card)' }} aria-label={nameOf(chosen)}>
      <h2>
        <CommandIcon command={chosen} /> {nameOf(chosen)}
      </h2>
      <Row gap={1} wraps>
        <Button variant="text" onClick={() => put(moveTitle, stepButton(strip, chosen, -1))}>
          Earlier
        </Button>
        <Button variant="text" onClick={() => put(moveTitle, stepButton(strip, chosen, 1))}>
          Later
        </Button>
        <Button
          variant="text"
          onClick={() => {
            put(`Take ${nameOf(chosen)} off the ${STRIP_WORDS[name]}`, removeButton(strip, chosen));
            onGone();
          }}
        >
          Take it off
        </Button>
      </Row>
      <IconChooser
        key={chosen}
        name={nameOf(chosen)}
        icon={tools.icons.find(([one]) => one === chosen)?.[1] ?? null}
        onChoose={(icon) =>
          change(`Icon of ${nameOf(chosen)}`, {
            icons: [
              ...tools.icons.filter(([one]) => one !== chosen),
              ...(icon === null ? [] : [[chosen, icon] as const]),
            ],
          })
        }
      />
    </Box>
  );
}
