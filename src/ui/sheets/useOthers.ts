'use client';

import { useMemo } from 'react';
import { keymapOf, type Row } from '@/core/keymap/keymap';
import type { Others } from '@/core/sheet/requestOf';
import { compares, type SheetSpec } from '@/core/sheet/sheetSpec';
import type { SheetsView } from '@/core/sheet/sheetsView';
import type { SideBySide } from '@/core/sheet/sideBySide';
import { useAsked } from '../parts/useAsked';

/** What a sheet shows of other keymaps, asked for when it is wanted; `missing` until it is there. */
export function useOthers(
  { view, bases }: Pick<SheetsView, 'view' | 'bases'>,
  { form, programs, base: slug }: Pick<SheetSpec, 'form' | 'programs' | 'base'>,
): { readonly others: Others; readonly missing: boolean; readonly problem: string } {
  const several = form === 'programs';
  const query = new URLSearchParams({
    program: view.programSlug,
    keymap: view.draft.slug,
    programs: JSON.stringify(programs),
  });
  const table = useAsked<SideBySide>(several ? `/api/sheets/programs?${query}` : null);
  const base = compares({ form }) ? bases.find((one) => one.slug === slug) : undefined;
  const rows = useAsked<readonly Row[]>(base ? `/api/keymaps/${base.id}/bindings` : null);
  const others = useMemo(
    (): Others => ({
      ...(table.answer ? { sideBySide: table.answer } : {}),
      ...(base && rows.answer ? { base: { name: base.name, keymap: keymapOf(rows.answer) } } : {}),
    }),
    [table.answer, base, rows.answer],
  );
  return {
    others,
    missing: (several && table.answer === null) || (base !== undefined && rows.answer === null),
    problem: table.problem || rows.problem,
  };
}
