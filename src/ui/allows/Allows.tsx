'use client';

import Link from 'next/link';
import { useState } from 'react';
import { canonicalText } from '@/core/chord/chord';
import { parseChord } from '@/core/chord/parseChord';
import {
  type Command,
  type Context,
  FORMS,
  type Form,
  KINDS,
  type Kind,
  type Program,
  pathText,
  type Rules,
} from '@/core/program/program';
import { slugs } from '@/core/text/slug';
import type { ProgramView } from '@/core/view/views';
import { KeyCaps } from '../parts/KeyCaps';
import { ask, messageOf } from '../shell/api';
import { useNotice } from '../shell/Notices';
import styles from './allows.module.css';
import { CommandList } from './CommandList';

export type Facts = Pick<Program, 'contexts' | 'rules' | 'commands'>;
export type Step = (title: string, facts: Partial<Facts>) => Promise<boolean>;

const FORM_WORDS: Readonly<Record<Form, string>> = {
  bare: 'A letter or sign alone, or with Shift',
  named: 'F5, Home … alone, or with Shift',
  modified: 'With Ctrl, Alt or Command',
  held: 'Only while held',
};
const KIND_WORDS: Readonly<Record<Kind, string>> = {
  'menu item': 'Menu items',
  tool: 'Tools',
  panel: 'Panels',
  value: 'Values',
  script: 'Scripts',
  'held action': 'Held actions',
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
                    <th scope="row">{KIND_WORDS[kind]}</th>
                    {FORMS.map((form) => {
                      const on = rules.forms[kind].includes(form);
                      const next = on ? rules.forms[kind].filter((one) => one !== form) : [...rules.forms[kind], form];
                      return (
                        <td key={form}>
                          <input
                            type="checkbox"
                            aria-label={`${KIND_WORDS[kind]}: ${FORM_WORDS[form]}`}
                            checked={on}
                            onChange={() =>
                              rule(`${KIND_WORDS[kind]}: keys`, {
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
                      key={rules.menuLetters[menu] ?? ''}
                      className={styles.letter}
                      maxLength={1}
                      defaultValue={rules.menuLetters[menu] ?? ''}
                      onBlur={(event) => {
                        const letter = event.target.value.trim().toUpperCase();
                        if (letter === (rules.menuLetters[menu] ?? '')) return;
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

function Check({ label, on, onChange }: { label: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <label className={styles.check}>
      <input type="checkbox" checked={on} onChange={() => onChange(!on)} /> {label}
    </label>
  );
}

/** The tree of places keys are listened for. */
function Places({
  contexts,
  commands,
  step,
}: {
  contexts: readonly Context[];
  commands: readonly Command[];
  step: Step;
}) {
  const [name, setName] = useState('');
  const root = contexts.find((one) => one.parent === null);
  const [parent, setParent] = useState(root?.id ?? '');
  const depthOf = (context: Context): number => {
    let depth = 0;
    for (let at = context.parent; at !== null && depth < contexts.length; depth++)
      at = contexts.find((one) => one.id === at)?.parent ?? null;
    return depth;
  };
  const ordered = inTreeOrder(contexts, null);
  const used = new Map<string, number>();
  for (const one of commands) used.set(one.context, (used.get(one.context) ?? 0) + 1);
  return (
    <section className="card" aria-labelledby="places">
      <h2 id="places">Places where keys are listened for</h2>
      <p className="soft">A place lies in another: what is heard everywhere is heard over the canvas, too.</p>
      <ul className={styles.places}>
        {ordered.map((context) => (
          <li key={context.id} style={{ paddingLeft: `${depthOf(context) * 1.2}rem` }}>
            <input
              key={context.name}
              aria-label={`Name of the place ${context.name}`}
              className={styles.field}
              defaultValue={context.name}
              onBlur={(event) => {
                const next = event.target.value.trim();
                if (next !== '' && next !== context.name)
                  void step(`Place renamed: ${next}`, {
                    contexts: contexts.map((one) => (one.id === context.id ? { ...one, name: next } : one)),
                  });
              }}
              onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            />
            <span className="soft">{used.get(context.id) ?? 0} commands</span>
            {context.parent !== null && !used.has(context.id) && !contexts.some((one) => one.parent === context.id) && (
              <button
                type="button"
                className="word"
                onClick={() =>
                  void step(`Place removed: ${context.name}`, {
                    contexts: contexts.filter((one) => one.id !== context.id),
                  })
                }
              >
                Remove<span className="hidden"> {context.name}</span>
              </button>
            )}
          </li>
        ))}
      </ul>
      <form
        className={styles.row}
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === '') return;
          const id = slugs(contexts.map((one) => one.id))(name.trim());
          void step(`Place added: ${name.trim()}`, { contexts: [...contexts, { id, name: name.trim(), parent }] }).then(
            (done) => done && setName(''),
          );
        }}
      >
        <input
          className={styles.field}
          aria-label="Name of a new place"
          placeholder="in the brush list"
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
        />
        <label>
          in{' '}
          <select className={styles.field} value={parent} onChange={(event) => setParent(event.target.value)}>
            {ordered.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </select>
        </label>
        <button type="submit" className="chip">
          Add a place
        </button>
      </form>
    </section>
  );
}

function inTreeOrder(contexts: readonly Context[], parent: string | null): Context[] {
  return contexts
    .filter((one) => one.parent === parent)
    .flatMap((one) => [
      one,
      ...inTreeOrder(
        contexts.filter((other) => other !== one),
        one.id,
      ),
    ]);
}

/** The areas whose commands take turns on a key. */
function Turns({
  commands,
  rules,
  onChange,
}: {
  commands: readonly Command[];
  rules: Rules;
  onChange: (turns: Rules['turns']) => void;
}) {
  const areas = new Map<string, readonly string[]>();
  for (const { path } of commands)
    for (let length = 1; length <= Math.min(2, path.length); length++)
      areas.set(pathText(path.slice(0, length)), path.slice(0, length));
  const on = new Set(rules.turns.map(pathText));
  const listed = [...areas].sort(([a], [b]) => Number(on.has(b)) - Number(on.has(a)));
  return (
    <section className="card" aria-labelledby="turns">
      <h2 id="turns">Taking turns</h2>
      <p className="soft">Commands of these areas may share a key: each press moves on to the next.</p>
      <ul className={styles.areas}>
        {listed.map(([words, path]) => (
          <li key={words}>
            <Check
              label={words}
              on={on.has(words)}
              onChange={(now) =>
                onChange(now ? [...rules.turns, path] : rules.turns.filter((one) => pathText(one) !== words))
              }
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The keys the program keeps for itself. */
function Fixed({ rules, onChange }: { rules: Rules; onChange: (fixed: Rules['fixed']) => void }) {
  const [keys, setKeys] = useState('');
  const [why, setWhy] = useState('');
  const [problem, setProblem] = useState('');
  return (
    <section className="card" aria-labelledby="fixed">
      <h2 id="fixed">Keys it keeps for itself</h2>
      <ul className={styles.fixed}>
        {rules.fixed.map(({ chord, why: reason }) => (
          <li key={chord}>
            <KeyCaps chord={chord} /> <span className="soft">{reason}</span>
            <button
              type="button"
              className="word"
              onClick={() => onChange(rules.fixed.filter((one) => one.chord !== chord))}
            >
              Remove<span className="hidden"> {chord}</span>
            </button>
          </li>
        ))}
      </ul>
      <form
        className={styles.row}
        onSubmit={(event) => {
          event.preventDefault();
          const read = parseChord(keys);
          if (!read.ok) return setProblem(read.message);
          const chord = canonicalText(read.chord);
          if (rules.fixed.some((one) => one.chord === chord)) return setProblem('These keys stand here already.');
          setProblem('');
          setKeys('');
          setWhy('');
          onChange([...rules.fixed, { chord, why: why.trim() || 'the program uses them itself' }]);
        }}
      >
        <input
          className={styles.short}
          aria-label="Keys to fix"
          placeholder="Ctrl+Tab"
          value={keys}
          onChange={(event) => setKeys(event.target.value)}
        />
        <input
          className={styles.field}
          aria-label="What the program does with them"
          placeholder="it goes to the next picture"
          value={why}
          maxLength={200}
          onChange={(event) => setWhy(event.target.value)}
        />
        <button type="submit" className="chip">
          Add
        </button>
      </form>
      {problem && <p role="alert">{problem}</p>}
    </section>
  );
}

/** A command of one's own: a script, a plug-in, a value to set. */
function AddCommand({
  commands,
  contexts,
  step,
}: {
  commands: readonly Command[];
  contexts: readonly Context[];
  step: Step;
}) {
  const [name, setName] = useState('');
  const [menu, setMenu] = useState('Scripts');
  const [kind, setKind] = useState<Kind>('script');
  const [context, setContext] = useState(contexts.find((one) => one.parent === null)?.id ?? '');
  return (
    <section className="card" aria-labelledby="add">
      <h2 id="add">Add a command by hand</h2>
      <p className="soft">A script of yours, a plug-in, a value to set.</p>
      <form
        className={styles.addForm}
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === '') return;
          const path = menu
            .split(/[›>/]/)
            .map((one) => one.trim())
            .filter((one) => one !== '');
          const id = slugs(commands.map((one) => one.id))(name.trim(), ...[...path].reverse());
          const made: Command = { id, name: name.trim(), kind, path, context };
          // It stands after the last command of its menu.
          const last = commands.findLastIndex((one) => one.path[0] === path[0]);
          const at = last < 0 ? commands.length : last + 1;
          void step(`Added: ${made.name}`, { commands: [...commands.slice(0, at), made, ...commands.slice(at)] }).then(
            (done) => done && setName(''),
          );
        }}
      >
        <label>
          Name
          <input
            className={styles.field}
            value={name}
            maxLength={120}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <label>
          Menu
          <input className={styles.field} value={menu} onChange={(event) => setMenu(event.target.value)} />
        </label>
        <label>
          Kind
          <select className={styles.field} value={kind} onChange={(event) => setKind(event.target.value as Kind)}>
            {KINDS.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </select>
        </label>
        <label>
          Listened for
          <select className={styles.field} value={context} onChange={(event) => setContext(event.target.value)}>
            {contexts.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </select>
        </label>
        <button type="submit" className="chip">
          Add the command
        </button>
      </form>
    </section>
  );
}
