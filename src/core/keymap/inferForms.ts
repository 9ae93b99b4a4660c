import { formOf } from '../program/formOf';
import { type Command, DEFAULT_FORMS, FORMS, type Form, KINDS, type Kind, type Rules } from '../program/program';
import { bindingsOf, type Keymap } from './keymap';

/** The forms a program takes for each kind of command: the usual ones, and every form its factory keys have. */
export function inferForms(commands: readonly Command[], factory: Keymap): Rules['forms'] {
  const seen = new Map(KINDS.map((kind) => [kind, new Set<Form>(DEFAULT_FORMS[kind])]));
  for (const command of commands)
    for (const { chord } of bindingsOf(factory, command.id)) seen.get(command.kind)?.add(formOf(chord));
  const of = (kind: Kind): readonly Form[] => FORMS.filter((form) => seen.get(kind)?.has(form));
  return {
    'menu item': of('menu item'),
    tool: of('tool'),
    panel: of('panel'),
    value: of('value'),
    script: of('script'),
    'held action': of('held action'),
  };
}
