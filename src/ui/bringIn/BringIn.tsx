'use client';

import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { type DragEvent, useState } from 'react';
import { FormField } from '../kit/FormField';
import { Row } from '../kit/Row';
import styles from './bringIn.module.css';
import { FileHolds } from './FileHolds';
import { ListPreview } from './ListPreview';
import { Sources } from './Sources';
import { useBringIn } from './useBringIn';

/** Brings a program in: a file or pasted text, what was understood of it, corrections, then onto the Shelf. */
export function BringIn() {
  const { source, preview, naming, problem, busy, look, lookAgain, bringIn, start } = useBringIn();
  const [over, setOver] = useState(false);
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    setOver(false);
    const file = event.dataTransfer.files[0];
    if (file) void look({ blob: file, name: file.name }, []);
  };
  return (
    <div className="screen">
      <header className="bar">
        <h1>Bring a program in</h1>
        <span className="soft">{source ? source.name : 'its list of commands, as a table or a web page'}</span>
        <span className="push" />
        {preview && (
          <Button variant="text" onClick={start}>
            Choose another file
          </Button>
        )}
        <Button variant="outlined" component={Link} href="/shelf">
          Back to the Shelf
        </Button>
        {preview && (
          <Button variant="contained" disabled={busy} onClick={() => void bringIn()}>
            Put it on the Shelf
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
        {problem && <Alert severity="error">{problem}</Alert>}
        {!preview && <Sources over={over} busy={busy} onLook={(from) => void look(from, [])} />}
        {preview && (
          <Row gap={4} wraps align="flex-start">
            <FormField form={naming} name="name" label="Name of the program" />
            <FormField form={naming} name="version" label="Version" />
          </Row>
        )}
        {preview?.kind === 'program file' && <FileHolds preview={preview} />}
        {preview?.kind === 'list' && <ListPreview preview={preview} onRoles={lookAgain} busy={busy} />}
      </main>
    </div>
  );
}
