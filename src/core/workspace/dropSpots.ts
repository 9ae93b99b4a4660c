import type { CommandId } from '../program/program';
import { type Arrangement, SIDES, type Side, visibleIn } from './arrangement';
import { drawnStacks } from './changePanels';
import type { Spot } from './placePanel';

/** A place where a panel can be let go, in words. */
export type DropSpot = { readonly spot: Spot; readonly words: string };

const SIDE_WORDS: Readonly<Record<Side, string>> = {
  left: 'the left dock',
  right: 'the right dock',
  bottom: 'the bottom dock',
};

/** A side as people say it. */
export function sideWords(side: Side | 'float' | null): string {
  return side === null ? 'nowhere' : side === 'float' ? 'floating' : SIDE_WORDS[side];
}

/**
 * Every place where a panel can be put, in reading order, for dropping and for walking through with arrows: in each dock
 * first, onto each stack, after each stack; then floating.
 */
export function dropSpots(
  arrangement: Arrangement,
  panel: CommandId,
  nameOf: (panel: CommandId) => string,
): readonly DropSpot[] {
  const onto = (panels: readonly CommandId[], where: string): DropSpot[] => {
    const others = panels.filter((one) => one !== panel);
    const last = others.at(-1);
    if (last === undefined) return [];
    return [
      {
        spot: { kind: 'onto', panel: last },
        words: `Onto ${others.map(nameOf).join(', ')}, ${where}`,
      },
    ];
  };
  const docked = SIDES.flatMap((side): DropSpot[] => {
    const stacks = drawnStacks(arrangement, side).map((one) => visibleIn(one, arrangement.hidden).panels);
    const first: DropSpot = {
      spot: { kind: 'between', side, after: null },
      words: stacks.length === 0 ? `Alone in ${SIDE_WORDS[side]}` : `First in ${SIDE_WORDS[side]}`,
    };
    const rest = stacks.flatMap((panels): DropSpot[] => [
      ...onto(panels, `in ${SIDE_WORDS[side]}`),
      {
        spot: { kind: 'between', side, after: panels.at(-1) as string },
        words: `After ${panels.map(nameOf).join(', ')}, in ${SIDE_WORDS[side]}`,
      },
    ]);
    return [first, ...rest];
  });
  const floating = arrangement.floats.flatMap((one) =>
    onto(visibleIn(one, arrangement.hidden).panels, 'where it floats'),
  );
  return [...docked, ...floating, { spot: { kind: 'float', x: 0.4, y: 0.35 }, words: 'Floating over the picture' }];
}
