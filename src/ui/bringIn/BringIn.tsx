'use client';

import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { type DragEvent, useState } from 'react';
import { FormField } from '../kit/FormField';
import { Row } from '../kit/Row';
import { AsVersion } from './AsVersion';
import styles from './bringIn.module.css';
import { FileHolds } from './FileHolds';
import { ListPreview } from './ListPreview';
import { ShowLine } from './ShowLine';
import { Sources } from './Sources';
import { useBringIn } from './useBringIn';

/** Brings a program in: a file or pasted text, what was understood of it, corrections, then onto the Shelf. */
export function BringIn() {
  const bringing = useBringIn();
  const { source, preview, rows, corrections, naming, problem, busy, as, look, lookAgain, bringIn, start } = bringing;
  const [over, setOver] = useState(false);
  const [showing, setShowing] = useState(false);
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    setOver(false);
    const file = event.dataTransfer.files[0];
    setShowing(false);
    if (file) void look({ blob: file, name: file.name }, null);
  };
  return (
    <div className="screen">
      <header className="bar">
        <h1>Bring a program in</h1>
        <span className="soft">{source ? source.name : 'its list of commands, from a file or pasted'}</span>
        <span className="push" />
        {preview && !showing && (
          <Button variant="text" onClick={start}>
            Choose another file
          </Button>
        )}
        <Button variant="outlined" component={Link} href="/shelf">
          Back to the Shelf
        </Button>
        {preview && !showing && (
          <Button variant="contained" disabled={busy} onClick={() => void bringIn()}>
            {as.asVersion ? 'Bring the new version in' : 'Put it on the Shelf'}
          </Button>
        )}
      </header>
      <main
        className={`panes ${styles.bringIn}`}
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={drop}
      >
        {problem && (
          <Alert
            severity="error"
            action={
              source !== null &&
              !showing && (
                <Button variant="text" onClick={() => setShowing(true)}>
                  Show one line of it…
                </Button>
              )
            }
          >
            {problem}
          </Alert>
        )}
        {showing && source ? (
          <ShowLine
            source={source}
            shown={preview?.kind === 'list' ? preview.choices.shown : []}
            onDone={async (shown) => {
              if (await lookAgain({ shown, roles: [] })) setShowing(false);
            }}
            onCancel={() => setShowing(false)}
          />
        ) : (
          <>
            {!preview && <Sources over={over} busy={busy} onLook={(from) => void look(from, null)} />}
            {preview?.follows && (
              <AsVersion follows={preview.follows} asVersion={as.asVersion} onChoose={as.setAsVersion} />
            )}
            {preview && (
              <Row gap={4} wraps align="flex-start">
                {!as.asVersion && <FormField form={naming} name="name" label="Name of the program" />}
                <FormField form={naming} name="version" label="Version" />
              </Row>
            )}
            {preview?.kind === 'program file' && <FileHolds preview={preview} />}
            {preview?.kind === 'list' && (
              <ListPreview
                preview={preview}
                rows={rows}
                corrections={corrections}
                busy={busy}
                onSay={(said) => void lookAgain(said)}
                onShow={() => setShowing(true)}
              />
            )}
          </>
        )}
      </main>
    </div>
  );
}
