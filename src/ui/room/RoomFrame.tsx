'use client';

import type { ReactNode, RefObject } from 'react';
import { type DocksGiven, DockView, Floats } from './Docks';
import styles from './room.module.css';

type Props = DocksGiven & {
  readonly bar: ReactNode;
  readonly rail: ReactNode;
  /** Whether all panels are put away for now. */
  readonly bare?: boolean;
  readonly floor?: RefObject<HTMLDivElement | null>;
  /** What lies in the middle: the picture. */
  readonly children: ReactNode;
};

/** The inside of a program's window: the bar, the rail, the docks around the picture, what floats over it. */
export function RoomFrame({ bar, rail, bare = false, floor, children, ...given }: Props) {
  return (
    <>
      {bar}
      <div ref={floor} className={styles.floor}>
        {rail}
        {!bare && <DockView {...given} side="left" />}
        <div className={styles.middle}>
          {children}
          {!bare && <DockView {...given} side="bottom" />}
        </div>
        {!bare && <DockView {...given} side="right" />}
        {!bare && <Floats {...given} />}
      </div>
    </>
  );
}
