'use client';

import { useEffect, useState } from 'react';
import type { SheetSpec } from '@/core/sheet/sheetSpec';
import type { SideBySide } from '@/core/sheet/sideBySide';
import { ask, messageOf } from '../shell/api';

/** What a keymap has in common with those of other programs, asked for when a sheet of several is wanted. */
export function useSideBySide(
  program: string,
  keymap: string,
  { form, programs }: Pick<SheetSpec, 'form' | 'programs'>,
): { readonly table: SideBySide | null; readonly problem: string } {
  const [found, setFound] = useState<{ readonly key: string; readonly table: SideBySide } | null>(null);
  const [problem, setProblem] = useState('');
  const key = form === 'programs' ? JSON.stringify(programs) : '';
  useEffect(() => {
    if (key === '') return;
    let gone = false;
    const query = new URLSearchParams({ program, keymap, programs: key });
    ask<SideBySide>('GET', `/api/sheets/programs?${query}`).then(
      (table) => !gone && setFound({ key, table }),
      (error) => !gone && setProblem(messageOf(error)),
    );
    return () => {
      gone = true;
    };
  }, [program, keymap, key]);
  return { table: found && found.key === key ? found.table : null, problem };
}
