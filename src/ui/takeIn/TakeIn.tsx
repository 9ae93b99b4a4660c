'use client';

import { joiResolver } from '@hookform/resolvers/joi';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Card from '@mui/material/Card';
import Link from 'next/link';
import { useEffect, useRef } from 'react';
import { useForm } from 'react-hook-form';
import { otherComputer } from '@/schemas/forms';
import { Column } from '../kit/Column';
import { FileButton } from '../kit/FileButton';
import { FormField } from '../kit/FormField';
import { Progress } from '../kit/Progress';
import { Row } from '../kit/Row';
import { SidePanes } from '../kit/SidePanes';
import { comingWords, staysWords } from './describeTaking';
import { TakenProgram } from './TakenProgram';
import { USUAL_LABEL, useTakeIn } from './useTakeIn';

const without = (all: readonly string[], one: string): string[] => all.filter((other) => other !== one);

/** Everything that another computer saved, taken in beside what is here. */
export function TakeIn() {
  const { file, wishes, looked, busy, problem, choose, wish, leave, take } = useTakeIn();
  const naming = useForm({
    resolver: joiResolver(otherComputer),
    defaultValues: { label: USUAL_LABEL },
    mode: 'onChange',
  });
  const view = looked?.view ?? null;
  const shown = useRef<HTMLElement>(null);
  const there = view !== null;
  // The button that the file was chosen by is gone; who works by keyboard goes on with what was found.
  useEffect(() => {
    if (there && document.activeElement === document.body) shown.current?.focus();
  }, [there]);
  const chooser = (
    <FileButton label="A file with everything" variant={file ? 'outlined' : 'contained'} onFile={choose}>
      {file ? 'Another file…' : 'Choose the file…'}
    </FileButton>
  );
  const called = naming.handleSubmit(({ label }) => {
    if (label !== wishes.label) wish({ label });
  });
  const side = file && (
    <Column gap={4}>
      <Column component="section" aria-label="The file" gap={2} align="flex-start">
        <h2>The file</h2>
        <p style={{ overflowWrap: 'anywhere' }}>{file.name}</p>
        {chooser}
      </Column>
      <form onSubmit={called} onBlur={called}>
        <FormField
          form={naming}
          name="label"
          label="What the other computer is called"
          hint="Stands behind names that are here already."
          fullWidth
        />
      </form>
      <Row gap={3} wraps>
        <Button variant="contained" disabled={!view?.changes || busy !== null} onClick={() => void take()}>
          Take it in
        </Button>
        <Button variant="outlined" disabled={busy === 'taking'} onClick={leave}>
          Leave it
        </Button>
        {busy && <Progress label={busy === 'looking' ? 'Looking at the file' : 'Taking it in'} />}
      </Row>
      <p role="status">{view && busy === null ? comingWords(view) : ''}</p>
      {view && view.stays.length > 0 && (
        <section aria-label="What stays as it is here">
          <h2>Stays as it is here</h2>
          <p className="soft">Said otherwise in the file: {view.stays.map(staysWords).join(', ')}.</p>
        </section>
      )}
      <p className="soft small">How this computer is set up (keyboard, lamp, who sits here) stays.</p>
    </Column>
  );
  return (
    <div className="screen">
      <header className="bar">
        <h1>Take everything in</h1>
        <span className="push" />
        <Button variant="text" component={Link} href="/shelf">
          Back to the Shelf
        </Button>
      </header>
      <SidePanes label="What comes in" side={side ? { label: 'What is taken in', width: '20rem', parts: side } : null}>
        {problem && <Alert severity="error">{problem}</Alert>}
        {!file && (
          <Card component="section" aria-label="How it goes" sx={{ px: 4, py: 3, maxWidth: '44rem' }}>
            <h2>From another computer</h2>
            <p>
              On the other computer choose “Save everything…” on its Shelf, and bring the file here. What it holds is
              taken in beside what is here: nothing here is overwritten, what is the same does not come twice, and a
              keymap that was changed on both is kept twice. You see what happens before anything does.
            </p>
            <Row gap={3} style={{ marginTop: 'var(--space-3)' }}>
              {chooser}
              <Button variant="text" href="/api/everything" download>
                Save everything of this computer…
              </Button>
            </Row>
          </Card>
        )}
        {view && (
          // A long list is scrolled by keyboard as well
          <section ref={shown} className="scrolls" aria-label="Programs of the file" tabIndex={0}>
            <Column gap={3}>
              {view.programs.length === 0 && <p className="empty">There is no program in this file.</p>}
              {view.programs.length > 0 && !view.changes && (
                <Alert severity="success">All that is in this file is here already. There is nothing to do.</Alert>
              )}
              {view.programs.map((program) => (
                <TakenProgram
                  key={program.uid}
                  program={program}
                  goOn={(uid, on) => wish({ goOn: on ? [...wishes.goOn, uid] : without(wishes.goOn, uid) })}
                  apart={(uid, on) => wish({ apart: on ? [...wishes.apart, uid] : without(wishes.apart, uid) })}
                />
              ))}
            </Column>
          </section>
        )}
      </SidePanes>
    </div>
  );
}
