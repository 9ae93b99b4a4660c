'use client';

import Link from 'next/link';
import { useState } from 'react';
import { FORMS, type Form, KIND_PLURALS, KINDS, type Program, type Rules } from '@/core/program/program';
import { entryOf } from '@/core/text/entryOf';
import type { ProgramView } from '@/core/view/views';
import { ask, messageOf } from '../shell/api';
import { useNotice } from '../shell/Notices';
import { AddCommand } from './AddCommand';
import styles from './allows.module.css';
import { Check } from './Check';
import { CommandList } from './CommandList';
import { Fixed } from './Fixed';
import { Places } from './Places';
import { Turns } from './Turns';

export type Facts = Pick<Program, 'contexts' | 'rules' | 'commands'>;
export type Step = (title: string, facts: Partial<Facts>) => Promise<boolean>;

const FORM_WORDS: Readonly<Record<Form, string>> = {
  bare: 'A letter or sign alone, or with Shift',
  named: 'F5, Home … alone, or with Shift',
  modified: 'With Ctrl, Alt or Command',
  held: 'Only while held',
};
/** What a program says of itself, to be looked at and corrected. Each change is stored at once and can be undone. */
export function Allows({ initial }: { initial: ProgramView }) {
  const [view, setView] = useState(initial);
  const [problem, setProblem] = useState('');
  const tell = useNotice();
  const { program, slug } = view;
  const { contexts, rules, commands } = program;
  const send = async (address: string, body: object, said: string): Promise<boolean> => {
    try {
      setView(await ask<ProgramView>('POST', `/api/programs/${slug}/${address}`, { revision: view.revision, ...body }));
      setProblem('');
      tell(said);
      return true;
    } catch (error) {
      setProblem(messageOf(error));
      return false;
    }
  };
  const step: Step = (title, facts) =>
    send('facts', { title, facts: { contexts, rules, commands, ...facts } }, `${title}. Stored.`);
  const rule = (title: string, values: Partial<Rules>) => void step(title, { rules: { ...rules, ...values } });
  const menus = [...new Set(commands.map((one) => one.path[0] ?? ''))].filter((menu) => menu !== '');
  return (
    <div className="screen">
      <header className="bar">
        <h1>What {program.name} allows</h1>
        <span className="soft">You know it best. What is said here decides every verdict.</span>
        <span className="push" />
        <button
          type="button"
          className="word"
          aria-disabled={view.lastStep === null}
          onClick={() => view.lastStep !== null && void send('undo', {}, `Undone: ${view.lastStep}`)}
        >
          Undo{view.lastStep === null ? '' : `: ${view.lastStep}`}
        </button>
        <Link className="word" href={`/shelf/${slug}`}>
          Back to the Shelf
        </Link>
      </header>
      {/* A long page is scrolled by keyboard as well */}
      <main className={styles.allows} tabIndex={0}>
        {problem && (
          <p role="alert" className={styles.problem}>
            {problem}
          </p>
        )}
        <div className={styles.columns}>
          <Places contexts={contexts} commands={commands} step={step} />
          <section className="card" aria-labelledby="forms">
            <h2 id="forms">Keys by kind of command</h2>
            <table className={styles.forms}>
              <thead>
                <tr>
                  <td />
                  {FORMS.map((form) => (
                    <th key={form} scope="col">
                      {FORM_WORDS[form]}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {KINDS.map((kind) => (
                  <tr key={kind}>
                    <th scope="row">{KIND_PLURALS[kind]}</th>
                    {FORMS.map((form) => {
                      const on = rules.forms[kind].includes(form);
                      const next = on ? rules.forms[kind].filter((one) => one !== form) : [...rules.forms[kind], form];
                      return (
                        <td key={form}>
                          <input
                            type="checkbox"
                            aria-label={`${KIND_PLURALS[kind]}: ${FORM_WORDS[form]}`}
                            checked={on}
                            onChange={() =>
                              rule(`${KIND_PLURALS[kind]}: keys`, {
                                forms: { ...rules.forms, [kind]: FORMS.filter((one) => next.includes(one)) },
                              })
                            }
                          />
                        </td>
                      );
                    })}
                  </tr>
                ))}
              </tbody>
            </table>
            <Check
              label="Two strokes one after the other (Ctrl+K, then S)"
              on={rules.sequences}
              onChange={(sequences) => rule('Two strokes', { sequences })}
            />
            <Check
              label="On the same keys, a narrower place goes before a wider one"
              on={rules.shadow}
              onChange={(shadow) => rule('Narrower places', { shadow })}
            />
          </section>
          <Turns commands={commands} rules={rules} onChange={(turns) => rule('Turns', { turns })} />
          <Fixed rules={rules} onChange={(fixed) => rule('Fixed keys', { fixed })} />
          <section className="card" aria-labelledby="letters">
            <h2 id="letters">Menu letters</h2>
            <p className="soft">On Windows and Linux, Alt and this letter open the menu.</p>
            <ul className={styles.letters}>
              {menus.map((menu) => (
                <li key={menu}>
                  <label>
                    <input
                      key={entryOf(rules.menuLetters, menu) ?? ''}
                      className={styles.letter}
                      maxLength={1}
                      defaultValue={entryOf(rules.menuLetters, menu) ?? ''}
                      onBlur={(event) => {
                        const letter = event.target.value.trim().toUpperCase();
                        if (letter === (entryOf(rules.menuLetters, menu) ?? '')) return;
                        const { [menu]: _, ...others } = rules.menuLetters;
                        rule('Menu letters', { menuLetters: letter === '' ? others : { ...others, [menu]: letter } });
                      }}
                      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
                    />{' '}
                    {menu}
                  </label>
                </li>
              ))}
            </ul>
          </section>
          <AddCommand commands={commands} contexts={contexts} step={step} />
        </div>
        <CommandList program={program} factoryKeys={view.factoryKeys} step={step} />
      </main>
    </div>
  );
}
