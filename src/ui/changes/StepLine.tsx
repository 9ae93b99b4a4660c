import { describeStep, whereWords } from '@/core/changeList/describeStep';
import type { EntryStep } from '@/core/changeList/planEntry';
import type { Command } from '@/core/program/program';
import { Tick } from '../kit/Tick';
import { SentenceView } from '../parts/SentenceView';
import styles from './changes.module.css';

type Props = {
  readonly step: EntryStep;
  readonly number: number;
  readonly command: Command | undefined;
  readonly nameOf: (id: string) => string;
  readonly ticked: boolean;
  /** Whether it is the first that is not done. */
  readonly next: boolean;
  readonly onTick: () => void;
};

/** One step of the list: which command, what to do with it, and whether it is done. */
export function StepLine({ step, number, command, nameOf, ticked, next, onTick }: Props) {
  return (
    <li data-done={ticked || undefined} data-next={next || undefined} data-step={step.kind}>
      <span className={styles.number}>{number}</span>
      <Tick checked={ticked} onChange={onTick} className={styles.step}>
        <span className={styles.what}>
          <span>
            <strong>{nameOf(step.command)}</strong> <span className="soft">{command && whereWords(command)}</span>
          </span>
          <span>
            <SentenceView sentence={describeStep(step, nameOf)} />
          </span>
        </span>
      </Tick>
    </li>
  );
}
