'use client';

import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import type { SheetChange } from '@/core/sheet/sheetEdits';
import { sheetQuery } from '@/core/sheet/sheetQuery';
import type { SheetSpec } from '@/core/sheet/sheetSpec';
import type { KeptSheet, SheetsView } from '@/core/sheet/sheetsView';
import { Row } from '../kit/Row';
import { ActionsMenu } from '../parts/ActionsMenu';
import { NameDialog } from '../parts/NameDialog';
import { PutAway } from '../parts/PutAway';
import { useNotice } from '../shell/Notices';
import { useKept } from '../sync/useKept';
import { sheetsWay } from '../sync/ways';

type Props = {
  readonly given: SheetsView;
  readonly spec: SheetSpec;
  readonly onShow: (spec: SheetSpec) => void;
};

/** The sheets kept with a keymap: shown again, kept over, renamed, put away and brought back. */
export function KeptSheets({ given, spec, onShow }: Props) {
  const [naming, setNaming] = useState<'new' | KeptSheet | null>(null);
  const tell = useNotice();
  const { draft } = given.view;
  const way = useMemo(() => sheetsWay(draft.id), [draft.id]);
  const [sheets, edit] = useKept(`sheets ${draft.id}`, given.sheets, way);
  const kept = sheets.filter((one) => !one.putAway);
  const away = sheets.filter((one) => one.putAway);
  const now = written(spec);
  const stands = kept.find((one) => written(one.spec) === now);
  const change = async (one: KeptSheet, what: SheetChange, said: string, undo?: SheetChange): Promise<void> => {
    if (await edit({ kind: 'change', id: one.id, change: what }))
      tell(said, undo && { words: 'Bring it back', run: () => void change(one, undo, `${one.name} is back.`) });
  };
  return (
    <section aria-label="Kept sheets">
      {kept.length > 0 && (
        <>
          <h2>Kept sheets</h2>
          <ul>
            {kept.map((one) => (
              <Row key={one.id} component="li" gap={1}>
                <Button variant="line" aria-pressed={one === stands} onClick={() => onShow(one.spec)}>
                  {one.name}
                </Button>
                <ActionsMenu
                  label={`More for ${one.name}`}
                  actions={[
                    ...(one === stands
                      ? []
                      : ([
                          [
                            'Keep what is shown over it',
                            () => void change(one, { spec }, `${one.name} is as it stands here.`, { spec: one.spec }),
                          ],
                        ] as const)),
                    ['Rename…', () => setNaming(one)],
                    [
                      'Put away',
                      () => void change(one, { putAway: true }, `${one.name} is put away.`, { putAway: false }),
                    ],
                  ]}
                />
              </Row>
            ))}
          </ul>
        </>
      )}
      {!stands && (
        <Button variant="text" onClick={() => setNaming('new')}>
          Keep this sheet…
        </Button>
      )}
      <PutAway away={away} onBack={(one) => void change(one, { putAway: false }, `${one.name} is back.`)} />
      {naming !== null && (
        <NameDialog
          title={naming === 'new' ? 'Keep this sheet' : `Rename ${naming.name}`}
          action={naming === 'new' ? 'Keep it' : 'Rename it'}
          name={naming === 'new' ? '' : naming.name}
          hint="It is kept with this keymap: its choices, not its lines, so that it follows what you change."
          onClose={() => setNaming(null)}
          onDone={async (name) => {
            const one = naming;
            const stored = await edit(
              one === 'new' ? { kind: 'keep', name, spec } : { kind: 'change', id: one.id, change: { name } },
            );
            if (!stored) return;
            setNaming(null);
            tell(one === 'new' ? `${name} is kept with ${draft.name}.` : `It is called ${name} now.`);
          }}
        />
      )}
    </section>
  );
}

/** The choices of a sheet as one text, whatever order they were made in. */
function written(spec: SheetSpec): string {
  return new URLSearchParams(Object.entries(sheetQuery(spec)).sort()).toString();
}
