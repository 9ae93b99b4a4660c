'use client';

import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Link from 'next/link';
import { useMemo } from 'react';
import type { ChangeListView } from '@/core/changeList/changeListView';
import { stepKey } from '@/core/changeList/describeStep';
import { planEntry } from '@/core/changeList/planEntry';
import { programFacts } from '@/core/clash/clashIndex';
import { draftOf } from '@/core/keymap/draft';
import { counted } from '@/core/text/sentence';
import type { KeymapLink } from '@/core/view/shelf';
import { Progress } from '../kit/Progress';
import { ActionsMenu } from '../parts/ActionsMenu';
import { SheetBar } from '../parts/SheetBar';
import { useNotice } from '../shell/Notices';
import { useSettings } from '../shell/SettingsContext';
import { useKept } from '../sync/useKept';
import { ticksWay } from '../sync/ways';
import styles from './changes.module.css';
import { LeftOut } from './LeftOut';
import { StepLine } from './StepLine';

type Props = { readonly given: ChangeListView; readonly links: readonly KeymapLink[] };

/** The steps that carry a keymap into the real program by hand: ticked off here, or printed with boxes to tick. */
export function ChangeList({ given, links }: Props) {
  const { view, from, keymaps } = given;
  const { program, programSlug, draft } = view;
  const { where } = useSettings();
  const tell = useNotice();
  const way = useMemo(() => ticksWay(draft.id, from.draft.id), [draft.id, from.draft.id]);
  const [ticked, tickOff] = useKept(`ticks ${draft.id} ${from.draft.id}`, given.ticks, way);
  const ticks = useMemo(() => new Set(ticked), [ticked]);
  const facts = useMemo(() => programFacts(program), [program]);
  const plan = useMemo(
    () => planEntry(facts, where.place, draftOf(from).keymap, draftOf(view).keymap),
    [facts, where, from, view],
  );
  const nameOf = (id: string): string => facts.commands.get(id)?.name ?? id;
  const done = plan.steps.filter((one) => ticks.has(stepKey(one))).length;
  const next = plan.steps.findIndex((one) => !ticks.has(stepKey(one)));
  const tick = (key: string): void => void tickOff({ steps: [key], done: !ticks.has(key) });
  const address = `/sheets/${programSlug}/${draft.slug}`;
  const onPaper = `${address}?${new URLSearchParams({ form: 'steps', ...(from.draft.factory ? {} : { base: from.draft.slug }) })}`;
  return (
    <div className="screen">
      <SheetBar
        title="Change list"
        {...{ view, links }}
        part="changes"
        choices={
          <ActionsMenu
            label={`In the program now: ${from.draft.name}`}
            words={`in the program now: ${from.draft.name}`}
            actions={keymaps
              .filter((one) => one.slug !== draft.slug)
              .map((one) => [
                `${one.name}${one.owner ? ` · ${one.owner}` : ''}`,
                `${address}/changes?from=${one.slug}`,
              ])}
          />
        }
      >
        <Button variant="text" component={Link} href={onPaper} prefetch={false}>
          On paper
        </Button>
        <Button variant="contained" disabled={plan.steps.length === 0} onClick={() => window.print()}>
          Print
        </Button>
      </SheetBar>
      <main className={`panes ${styles.screen}`}>
        <Paper component="section" variant="side" className="no-print" aria-label="About this list">
          <p role="status">
            <strong>
              {done} of {counted(plan.steps.length, 'step')}
            </strong>{' '}
            done
          </p>
          <Progress label="Steps done" part={done / Math.max(1, plan.steps.length)} />
          <p>
            Do them in this order in {program.name}: whoever gives up keys comes before whoever gets them, so that no
            step meets keys that are taken.
          </p>
          {plan.rings > 0 && (
            <p>
              {counted(plan.rings, 'ring')} of commands waiting for each other: in each, one key is taken off first and
              comes back later.
            </p>
          )}
          <p className="soft">
            Ticks are remembered. A step stays ticked when the list is made again and it is the same.
          </p>
          <Button
            variant="text"
            aria-disabled={done === 0}
            onClick={() => {
              if (done === 0) return;
              tickOff({ steps: ticked, done: false });
              tell('All ticks are gone.', { words: 'Undo', run: () => tickOff({ steps: ticked, done: true }) });
            }}
          >
            Start over
          </Button>
        </Paper>
        <section className={styles.list} aria-label="Steps" tabIndex={0}>
          <div className={styles.paper}>
            <h2>
              {program.name}: from {from.draft.name} to {draft.name}
            </h2>
            {plan.steps.length === 0 && (
              <p className="empty">Both have the same keys. There is nothing to change in the program.</p>
            )}
            <ol>
              {plan.steps.map((step, i) => (
                <StepLine
                  key={stepKey(step)}
                  {...{ step, nameOf }}
                  number={i + 1}
                  command={facts.commands.get(step.command)}
                  ticked={ticks.has(stepKey(step))}
                  next={i === next}
                  onTick={() => tick(stepKey(step))}
                />
              ))}
            </ol>
            <LeftOut refused={plan.refused} nameOf={nameOf} />
          </div>
        </section>
      </main>
    </div>
  );
}
