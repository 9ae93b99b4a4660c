import type { ProgramFacts } from '@/core/clash/clashIndex';
import { picks, slide, slides, zoomBy } from '@/core/tryout/desk';
import { fillJar } from '@/core/tryout/jars';
import { shownParts } from '@/core/tryout/layerStack';
import type { Happened } from '@/core/tryout/panelContents';
import { colorAt } from '@/core/tryout/readPicture';
import { useStable } from '../kit/useStable';
import { Stage } from './Stage';
import styles from './tryout.module.css';
import type { useDesk } from './useDesk';

type Props = Pick<ReturnType<typeof useDesk>, 'desk' | 'now' | 'show'> & {
  readonly facts: ProgramFacts;
  /** Whether keys are pressed over the picture. */
  readonly focused: boolean;
  readonly onFocus: () => void;
  readonly onPointer: (at: Happened['pointer']) => void;
};

/** The picture, which slides and grows under the pointer, and gives its colors to a tool that picks them. */
export function Canvas({ facts, desk, now, show, focused, onFocus, onPointer }: Props) {
  const onPoint = useStable((at: Happened['pointer'], pressed: boolean): void => {
    onPointer(at);
    const on = now.current;
    const color = pressed && at && picks(on, facts.commands) ? colorAt(at.x, at.y, shownParts(on.layers)) : null;
    if (color) show({ ...on, jars: fillJar(on.jars, color) });
  });
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions lint/a11y/useKeyWithClickEvents: by keyboard the place is chosen below.
    <div
      className={styles.place}
      data-focused={focused || undefined}
      data-slides={slides(desk, facts.commands) || undefined}
      onClick={onFocus}
      onWheel={(event) => show(zoomBy(now.current, event.deltaY < 0 ? 1.1 : 1 / 1.1))}
      onPointerMove={(event) => {
        if (event.buttons === 1 && slides(now.current, facts.commands))
          show(slide(now.current, event.movementX, event.movementY));
      }}
    >
      <Stage program={facts.program} desk={desk} onPoint={onPoint} />
    </div>
  );
}
