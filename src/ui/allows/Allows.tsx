'use client';

import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Stack from '@mui/material/Stack';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Link from 'next/link';
import { useMemo } from 'react';
import { FORMS, type Form, KIND_PLURALS, KINDS, type Rules } from '@/core/program/program';
import type { ProgramEdit } from '@/core/program/programEdits';
import type { ProgramView } from '@/core/program/programView';
import { entryOf } from '@/core/text/entryOf';
import { Tick } from '../kit/Tick';
import { useNamedPlace } from '../parts/useNamedPlace';
import { useNotice } from '../shell/Notices';
import { unpacked } from '../shell/unpacked';
import { useKept } from '../sync/useKept';
import { programWay } from '../sync/ways';
import { AddCommand } from './AddCommand';
import styles from './allows.module.css';
import { CommandList } from './CommandList';
import { Fixed } from './Fixed';
import { Places } from './Places';
import type { Step } from './step';
import { Turns } from './Turns';

const FORM_WORDS: Readonly<Record<Form, string>> = {
  bare: 'A letter or sign alone, or with Shift',
  named: 'F5, Home … alone, or with Shift',
  modified: 'With Ctrl, Alt or Command',
  held: 'Only while held',
};
/** What a program says of itself, to be looked at and corrected. Each change is stored at once and can be undone. */
export function Allows({ initial }: { initial: ProgramView }) {
  const way = useMemo(() => programWay(initial.slug), [initial.slug]);
  const given = useMemo(() => ({ revision: initial.revision, value: initial }), [initial]);
  const [view, edit] = useKept(`program ${initial.slug}`, given, way);
  const tell = useNotice();
  const { program, slug } = view;
  const { contexts, rules, commands } = program;
  const send = async (what: ProgramEdit, said: string): Promise<boolean> => {
    const stored = await edit(what);
    if (stored) tell(said);
    return stored;
  };
  const step: Step = (title, facts) => send({ kind: 'facts', title, facts }, `${title}. Stored.`);
  const rule = (title: string, values: Partial<Rules>) => void step(title, { rules: { ...rules, ...values } });
  useNamedPlace();
  const menus = [...new Set(commands.map((one) => one.path[0] ?? ''))].filter((menu) => menu !== '');
  return (
    <div className="screen">
      <header className="bar">
        <h1>What {program.name} allows</h1>
        <span className="soft">You know it best. What is said here decides every verdict.</span>
        <span className="push" />
        <Button
          variant="text"
          aria-disabled={view.lastStep === null}
          onClick={() => view.lastStep !== null && void send({ kind: 'undo' }, `Undone: ${view.lastStep}`)}
        >
          Undo{view.lastStep === null ? '' : `: ${view.lastStep}`}
        </Button>
        <Button variant="text" component={Link} href={`/shelf/${slug}`}>
          Back to the Shelf
        </Button>
      </header>
      {/* A long page is scrolled by keyboard as well */}
      <main className={`panes ${styles.allows}`} tabIndex={0}>
        <div className={styles.columns}>
          <Places contexts={contexts} commands={commands} step={step} />
          <Stack component="section" spacing={2} className="card" aria-labelledby="forms">
            <h2 id="forms">Keys by kind of command</h2>
            <Table>
              <TableHead>
                <TableRow>
                  <TableCell component="td" />
                  {FORMS.map((form) => (
                    <TableCell key={form} align="center">
                      {FORM_WORDS[form]}
                    </TableCell>
                  ))}
                </TableRow>
              </TableHead>
              <TableBody>
                {KINDS.map((kind) => (
                  <TableRow key={kind}>
                    <TableCell component="th" scope="row">
                      {KIND_PLURALS[kind]}
                    </TableCell>
                    {FORMS.map((form) => {
                      const on = rules.forms[kind].includes(form);
                      const next = on ? rules.forms[kind].filter((one) => one !== form) : [...rules.forms[kind], form];
                      return (
                        <TableCell key={form} align="center">
                          <Tick
                            label={`${KIND_PLURALS[kind]}: ${FORM_WORDS[form]}`}
                            checked={on}
                            onChange={() =>
                              rule(`${KIND_PLURALS[kind]}: keys`, {
                                forms: { ...rules.forms, [kind]: FORMS.filter((one) => next.includes(one)) },
                              })
                            }
                          />
                        </TableCell>
                      );
                    })}
                  </TableRow>
                ))}
              </TableBody>
            </Table>
            <Tick checked={rules.sequences} onChange={(sequences) => rule('Two strokes', { sequences })}>
              Two strokes one after the other (Ctrl+K, then S)
            </Tick>
            <Tick checked={rules.shadow} onChange={(shadow) => rule('Narrower places', { shadow })}>
              On the same keys, a narrower place goes before a wider one
            </Tick>
          </Stack>
          <Turns commands={commands} rules={rules} onChange={(turns) => rule('Turns', { turns })} />
          <Fixed rules={rules} onChange={(fixed) => rule('Fixed keys', { fixed })} />
          <Stack component="section" spacing={2} className="card" aria-labelledby="letters">
            <h2 id="letters">Menu letters</h2>
            <p className="soft">On Windows and Linux, Alt and this letter open the menu.</p>
            <ul className={styles.letters}>
              {menus.map((menu) => (
                <li key={menu}>
                  <FormControlLabel
                    label={menu}
                    control={
                      <TextField
                        key={entryOf(rules.menuLetters, menu) ?? ''}
                        defaultValue={entryOf(rules.menuLetters, menu) ?? ''}
                        slotProps={{ htmlInput: { maxLength: 1, className: styles.letter } }}
                        onBlur={(event) => {
                          const letter = event.target.value.trim().toUpperCase();
                          if (letter === (entryOf(rules.menuLetters, menu) ?? '')) return;
                          const { [menu]: _, ...others } = rules.menuLetters;
                          rule('Menu letters', { menuLetters: letter === '' ? others : { ...others, [menu]: letter } });
                        }}
                        onKeyDown={(event) => event.key === 'Enter' && (event.target as HTMLElement).blur()}
                      />
                    }
                  />
                </li>
              ))}
            </ul>
          </Stack>
          <AddCommand commands={commands} contexts={contexts} step={step} />
        </div>
        <CommandList program={program} factoryKeys={view.factoryKeys} step={step} />
      </main>
    </div>
  );
}
export const PackedAllows = unpacked(Allows);
