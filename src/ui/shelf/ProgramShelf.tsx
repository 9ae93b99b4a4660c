import Link from 'next/link';
import { counted } from '@/core/text/sentence';
import type { ProgramSummary } from '@/core/view/shelf';
import { Disclosure } from '../kit/Disclosure';
import { Row } from '../kit/Row';
import { ActionsMenu } from '../parts/ActionsMenu';
import { KeymapCard } from './KeymapCard';
import styles from './shelf.module.css';
import type { ShelfSteps } from './useShelfSteps';

type Props = {
  readonly program: ProgramSummary;
  /** The versions it came from, the latest first. */
  readonly earlier?: readonly ProgramSummary[];
  readonly steps: ShelfSteps;
};

/** A program and its keymaps, and below them the versions before. */
export function ProgramShelf({ program, earlier = [], steps }: Props) {
  const [before] = earlier;
  return (
    <section id={program.slug} className={styles.program} aria-labelledby={`${program.slug}-name`}>
      <Row className={styles.programHead} wraps gap={3} align="baseline">
        <h2 id={`${program.slug}-name`}>{program.label}</h2>
        <span className="soft">
          version {program.version} · {counted(program.commands, 'command')}
        </span>
        {before && <Link href={`/shelf/version/${program.slug}`}>What becomes of keymaps of {before.version}</Link>}
        <span className="push" />
        <ActionsMenu
          label={`More for ${program.label}`}
          actions={[
            ['Export as a file', `/api/programs/${program.slug}/file`],
            [`What ${program.name} allows…`, `/shelf/allows/${program.slug}`],
            ['Compare two keymaps…', `/shelf/compare/${program.slug}`],
            ['Rename…', () => steps.renameProgram(program)],
            ['Put away', () => steps.putAway({ program, keymap: null }, true)],
          ]}
        />
      </Row>
      <ul className={styles.keymaps}>
        {program.keymaps
          .filter((one) => !one.putAway)
          .map((keymap) => (
            <KeymapCard
              key={keymap.id}
              program={program}
              keymap={keymap}
              onDuplicate={() => steps.duplicate(keymap)}
              onRename={() => steps.renameKeymap(keymap)}
              onPutAway={() => steps.putAway({ program, keymap }, true)}
            />
          ))}
      </ul>
      {earlier.length > 0 && (
        <Disclosure title={`Earlier versions ${earlier.length}`}>
          {earlier.map((one) => (
            <ProgramShelf key={one.slug} program={one} steps={steps} />
          ))}
        </Disclosure>
      )}
    </section>
  );
}
