import { type RefObject, useCallback, useEffect, useRef, useState } from 'react';
import type { ChordText, Modifier } from '@/core/chord/chord';
import { parseCanonical } from '@/core/chord/parseChord';
import type { Draft } from '@/core/keymap/draft';
import { bindingsOf } from '@/core/keymap/keymap';
import type { Command, CommandId } from '@/core/program/program';

/** Commands that lost their keys and are to be given others, one after the other; then back to where it began. */
export type Chain = { readonly queue: readonly Command[]; readonly back: Command };

/** Which command is on the bench and which keys are proposed for it; the layer on the drawn keyboard follows both. */
export function useSelection(
  draft: RefObject<Draft>,
  initial: CommandId | null,
  showLayer: (modifiers: readonly Modifier[]) => void,
) {
  const [selectedId, setSelectedId] = useState<CommandId | null>(initial);
  const [proposed, setProposed] = useState<ChordText | null>(null);
  const [chain, setChain] = useState<Chain | null>(null);
  const capture = useRef<HTMLInputElement>(null);
  // The bench is a new one for each command, so the focus goes to its field once that stands there.
  const wantsFocus = useRef(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: runs when another command comes onto the bench.
  useEffect(() => {
    if (wantsFocus.current) capture.current?.focus();
    wantsFocus.current = false;
  }, [selectedId, chain]);

  const select = useCallback(
    (command: Command): void => {
      wantsFocus.current = false;
      setSelectedId(command.id);
      setProposed(null);
      setChain(null);
      const first = parseCanonical(bindingsOf(draft.current.keymap, command.id)[0]?.chord ?? '');
      if (first?.strokes[0]) showLayer(first.strokes[0].modifiers);
    },
    [draft, showLayer],
  );
  const openBench = useCallback(() => {
    wantsFocus.current = true;
    capture.current?.focus();
  }, []);
  const propose = useCallback(
    (chord: ChordText | null): void => {
      setProposed(chord);
      const stroke = chord === null ? null : parseCanonical(chord)?.strokes[0];
      if (stroke) showLayer(stroke.modifiers);
    },
    [showLayer],
  );
  /** On to the next of a chain, or back to where it began; without one, the same command again. */
  const goOn = useCallback(
    (from: Chain | null): void => {
      setProposed(null);
      const [next, ...queue] = from?.queue ?? [];
      if (from && next) {
        setSelectedId(next.id);
        setChain({ queue, back: from.back });
      } else {
        if (from) setSelectedId(from.back.id);
        setChain(null);
      }
      openBench();
    },
    [openBench],
  );
  return { selectedId, proposed, setProposed, chain, capture, select, openBench, propose, goOn };
}
