'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import type { NewVersionView } from '@/core/succession/newVersionView';
import { Column } from '../kit/Column';
import { Progress } from '../kit/Progress';
import { unpacked } from '../shell/unpacked';
import { Becomes } from './Becomes';
import { fateRows } from './fates';
import { NewVersionBar } from './NewVersionBar';
import { useNewVersion } from './useNewVersion';

/** A new version of a program: what becomes of a keymap in it, and of the program's commands. */
export function NewVersion({ view }: { readonly view: NewVersionView }) {
  const { before, after } = view;
  const becoming = useNewVersion(view);
  const { working, shown, setShown } = becoming;
  const answer = working.made?.answer ?? null;
  const rows = useMemo(
    () => (answer ? fateRows(before.program, after.program, answer.links) : []),
    [before.program, after.program, answer],
  );
  const unsure = rows.filter((one) => one.unsure).length;
  return (
    <div className="screen">
      <NewVersionBar
        view={view}
        unsure={unsure}
        answer={becoming.current ? answer : null}
        settled={becoming.settled}
        onCheck={() => setShown('check')}
      />
      <Box component="main" className="panes" sx={{ px: 4, py: 3 }}>
        {answer ? (
          <Becomes view={view} answer={answer} rows={rows} chosen={shown} onShow={setShown} becoming={becoming} />
        ) : (
          <Column gap={3}>
            {working.state === 'failed' ? (
              <>
                <p>What became of the commands could not be worked out here.</p>
                <Button variant="outlined" onClick={working.again}>
                  Try again
                </Button>
              </>
            ) : (
              <>
                <p role="status">Comparing the commands of both versions…</p>
                <Progress label="Comparing" />
              </>
            )}
          </Column>
        )}
      </Box>
    </div>
  );
}

export const PackedNewVersion = unpacked(NewVersion);
