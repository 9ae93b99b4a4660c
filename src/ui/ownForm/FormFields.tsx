import type { UseFormReturn } from 'react-hook-form';
import { modifierLabel } from '@/core/chord/writeChord';
import { ESCAPES, FORM_MODIFIERS, LETTERS, type OwnForm } from '@/core/ownForm/ownForm';
import { KEY_FAMILIES } from '@/core/writeBack/keyWords';
import { Column } from '../kit/Column';
import { Disclosure } from '../kit/Disclosure';
import { FormField } from '../kit/FormField';
import { FormPick } from '../kit/FormPick';
import { Row } from '../kit/Row';
import { useSettings } from '../shell/SettingsContext';

type Props = { readonly form: UseFormReturn<OwnForm> };

const ESCAPE_WORDS = { nothing: 'As they are', JSON: 'For JSON', XML: 'For XML' } as const;
const LETTER_WORDS = { small: 'Small letters', capital: 'Capitals' } as const;
const keysIn = { htmlInput: { spellCheck: false } } as const;
const BETWEEN = [
  ['joint', 'Joined by'],
  ['several', 'Several keys'],
  ['none', 'No key'],
] as const;
/** What is typed just as it will stand in the file. */
const AS_WRITTEN = { '& .MuiInputBase-input': { fontFamily: 'var(--face-keys)' } } as const;

/** The template, and how keys are spelled in it. */
export function FormFields({ form }: Props) {
  const { notation } = useSettings().settings;
  return (
    <Column gap={4}>
      <Row gap={3} align="flex-start">
        <FormField form={form} name="name" label="Name of the form" />
        <FormField form={form} name="fileName" label="Name of the file" />
      </Row>
      <FormField
        form={form}
        name="template"
        label="Template"
        multiline
        minRows={9}
        maxRows={18}
        slotProps={keysIn}
        sx={AS_WRITTEN}
      />
      <Disclosure title="Words of a template">
        <p>
          <code>{'{{#commands}} … {{/commands}}'}</code> is written once for each command, <code>{'{{#bound}}'}</code>{' '}
          for those with keys alone, <code>{'{{#groups}}'}</code> for each menu with its commands.
        </p>
        <p>
          Of a command: <code>{'{{name}} {{id}} {{path}} {{kind}} {{keys}}'}</code>; each of its keys:{' '}
          <code>{'{{#chords}}{{keys}}{{/chords}}'}</code>; with or without keys:{' '}
          <code>{'{{#hasKeys}} … {{/hasKeys}}{{^hasKeys}} … {{/hasKeys}}'}</code>.
        </p>
        <p>
          Between the members of a list: <code>{'{{^last}},{{/last}}'}</code>. Of the file:{' '}
          <code>{'{{program}} {{version}} {{keymap}}'}</code>.
        </p>
      </Disclosure>
      <h2>How it spells keys</h2>
      <Row gap={2} wraps>
        {FORM_MODIFIERS.map((one) => (
          <FormField
            key={one}
            form={form}
            name={`modifiers.${one}`}
            label={modifierLabel(one, notation)}
            slotProps={keysIn}
            sx={{ ...AS_WRITTEN, width: '5.8rem', '& input': { px: 1 } }}
          />
        ))}
      </Row>
      <Row gap={3} wraps>
        {BETWEEN.map(([name, label]) => (
          <FormField key={name} {...{ form, name, label }} slotProps={keysIn} sx={{ ...AS_WRITTEN, width: '7rem' }} />
        ))}
      </Row>
      <Row gap={3} wraps>
        <FormPick form={form} name="letters" label="Letters" options={LETTERS.map((one) => [one, LETTER_WORDS[one]])} />
        <FormPick
          form={form}
          name="family"
          label="Words for keys"
          options={KEY_FAMILIES.map((one) => [one.name, one.name])}
        />
        <FormPick
          form={form}
          name="escape"
          label="Signs are written"
          options={ESCAPES.map((one) => [one, ESCAPE_WORDS[one]])}
        />
      </Row>
      <FormField
        form={form}
        name="words"
        label="Words of its own"
        hint="One a line, such as PageUp = prior"
        multiline
        minRows={2}
        maxRows={8}
        slotProps={keysIn}
        sx={AS_WRITTEN}
      />
    </Column>
  );
}
