import { counted } from '@/core/text/sentence';
import type { ProgramSummary } from '@/core/view/shelf';
import { Row } from '../kit/Row';
import { ActionsMenu } from '../parts/ActionsMenu';
import { KeymapCard } from './KeymapCard';
import styles from './shelf.module.css';
import type { ShelfSteps } from './useShelfSteps';

/** A program and its keymaps. */
export function ProgramShelf({ program, steps }: { readonly program: ProgramSummary; readonly steps: ShelfSteps }) {
  return (
    <section id={program.slug} className={styles.program} aria-labelledby={`${program.slug}-name`}>
      <Row className={styles.programHead} wraps gap={3} align="baseline">
        <h2 id={`${program.slug}-name`}>{program.label}</h2>
        <span className="soft">
          version {program.version} · {counted(program.commands, 'command')}
        </span>
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
    </section>
  );
}
