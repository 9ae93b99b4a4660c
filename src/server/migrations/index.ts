import { firstTables } from './001-first-tables';
import { marksAndRules } from './002-marks-and-rules';
import { advice } from './003-advice';
import { match } from './004-match';
import { workspaces } from './005-workspaces';
import { sheets } from './006-sheets';
import { summaries } from './007-summaries';
import { inStep } from './008-in-step';
import { doneOn } from './009-done-on';
import { leftAside } from './010-left-aside';
import { chosen } from './011-chosen';
import { sourceFiles } from './012-source-files';
import { writeBackFiles } from './013-write-back';
import { ownForms } from './014-own-forms';
import { successions } from './015-successions';
import { toldApart } from './016-told-apart';
import type { Migration } from './migration';

export const migrations: readonly Migration[] = [
  firstTables,
  marksAndRules,
  advice,
  match,
  workspaces,
  sheets,
  summaries,
  inStep,
  doneOn,
  leftAside,
  chosen,
  sourceFiles,
  writeBackFiles,
  ownForms,
  successions,
  toldApart,
];
