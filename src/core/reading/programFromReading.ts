import { parseCanonical } from '../chord/parseChord';
import { keepConventions } from '../desktop/keepConventions';
import { inferForms } from '../keymap/inferForms';
import { type Keymap, keymapOf } from '../keymap/keymap';
import { type Command, DEFAULT_RULES, EVERYWHERE, KINDS, type Kind, type Program } from '../program/program';
import { slugs } from '../text/slug';
import type { Reading } from './readCommandList';
import type { ListedCommand } from './readTable';

/** A program and its factory keymap from a list that was understood. */
export function programFromReading(
  reading: Pick<Reading, 'rows'>,
  name: string,
  version: string,
): { program: Program; factory: Keymap } {
  const listed = reading.rows.flatMap((row) => row.command ?? []);
  const id = slugs();
  const commands = listed.map((one): Command => {
    return {
      id: id(one.name, ...[...one.path].reverse()),
      name: one.name,
      kind: kindOf(one),
      path: one.path,
      context: EVERYWHERE.id,
    };
  });
  const factory = keepConventions(
    commands,
    keymapOf(listed.flatMap((one, i) => one.keys.map((chord): [string, string] => [commands[i]?.id ?? '', chord]))),
  );
  // Tools that are listed with one letter between them take turns on it; nothing else is presumed to.
  const toolAreas = new Map(
    commands.filter((c) => c.kind === 'tool' && c.path.length > 0).map((c) => [c.path[0] ?? '', [c.path[0] ?? '']]),
  );
  return {
    program: {
      name,
      version,
      contexts: [EVERYWHERE],
      rules: {
        ...DEFAULT_RULES,
        turns: [...toolAreas.values()],
        forms: inferForms(commands, factory),
        // A list that writes two strokes one after the other comes from a program that takes them.
        sequences: listed.some((one) => one.keys.some((chord) => chord.includes(' '))),
      },
      commands,
    },
    factory,
  };
}

function kindOf(one: ListedCommand): Kind {
  const said = KINDS.find((kind) => kind === one.kind?.toLowerCase());
  if (said) return said;
  const chords = one.keys.map(parseCanonical);
  if (chords.some((chord) => chord?.hold)) return 'held action';
  const where = one.path.join(' ');
  if (/\btools?\b|tool ?(rail|box|bar)|werkzeug|outil|herramienta/i.test(where)) return 'tool';
  if (/\bpanels?\b|palette|\bwindow\b|docker/i.test(where)) return 'panel';
  return 'menu item';
}
