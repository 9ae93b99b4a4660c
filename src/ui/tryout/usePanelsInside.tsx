import { useCallback, useMemo } from 'react';
import type { ProgramFacts } from '@/core/clash/clashIndex';
import type { CommandId } from '@/core/program/program';
import type { Happened } from '@/core/tryout/panelContents';
import { sideOf } from '@/core/workspace/arrangement';
import { bringOnTop } from '@/core/workspace/changePanels';
import { useStable } from '../kit/useStable';
import { PanelInside } from '../room/PanelInside';
import type { useDesk } from './useDesk';

type Given = Pick<ReturnType<typeof useDesk>, 'desk' | 'now' | 'show' | 'ticked'> &
  Pick<Happened, 'pointer' | 'typed'> & { readonly facts: ProgramFacts };

/** What the panels of the stand-in show of what happens in it, and what a tap on their tabs does. */
export function usePanelsInside({ facts, desk, now, show, ticked, pointer, typed }: Given) {
  const { program } = facts;
  const called = useMemo(
    () =>
      ticked.flatMap((one) =>
        one.command && (one.kind === 'fired' || one.kind === 'called') ? [one.command.name] : [],
      ),
    [ticked],
  );
  const happened = useMemo(() => ({ desk, called, pointer, typed }), [desk, called, pointer, typed]);
  const inside = useCallback(
    (panel: CommandId) => {
      const command = facts.commands.get(panel);
      return command && <PanelInside panel={command} program={program} happened={happened} />;
    },
    [facts, program, happened],
  );
  /** A tab puts its panel on top; a button of a folded dock opens it beside the strip, or closes it. */
  const onTop = useStable((panel: CommandId): void => {
    const at = now.current;
    const side = sideOf(at.panels, panel);
    if (side !== null && side !== 'float' && at.panels.docks[side].fold !== 'open')
      show({ ...at, peeked: at.peeked === panel ? null : panel });
    else show({ ...at, panels: bringOnTop(at.panels, panel) });
  });
  return { inside, onTop };
}
