'use client';

import { joiResolver } from '@hookform/resolvers/joi';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useDeferredValue, useMemo } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { draftOf } from '@/core/keymap/draft';
import type { KeymapView } from '@/core/keymap/keymapView';
import { type FilledForm, FormProblem, fillForm } from '@/core/ownForm/fillForm';
import type { FormChange, KeptForm } from '@/core/ownForm/formEdits';
import { EXAMPLES, type OwnForm } from '@/core/ownForm/ownForm';
import type { Versioned } from '@/core/sync/versioned';
import { counted } from '@/core/text/sentence';
import type { KeymapLink } from '@/core/view/shelf';
import { ownForm } from '@/schemas/ownForms';
import { SidePanes } from '../kit/SidePanes';
import { type Action, ActionsMenu } from '../parts/ActionsMenu';
import { SheetBar } from '../parts/SheetBar';
import { useNotice } from '../shell/Notices';
import { saveText } from '../shell/saveText';
import { useKept } from '../sync/useKept';
import { formsWay } from '../sync/ways';
import { FormFields } from './FormFields';

type Props = {
  readonly view: KeymapView;
  readonly links: readonly KeymapLink[];
  readonly forms: Versioned<readonly KeptForm[]>;
  /** The form that is shown; null for one that is not kept yet. */
  readonly form: number | null;
};

/** A form of one's own: a template and how keys are spelled in it, with the file beside it as it comes out. */
export function OwnForms({ view, links, forms: given, form }: Props) {
  const { program, programSlug, draft } = view;
  const address = `/sheets/${programSlug}/${draft.slug}/form`;
  const router = useRouter();
  const tell = useNotice();
  const way = useMemo(() => formsWay(programSlug), [programSlug]);
  const [forms, edit, { store }] = useKept(`forms ${programSlug}`, given, way);
  const kept = forms.find((one) => one.id === form) ?? null;
  const fields = useForm<OwnForm>({
    resolver: joiResolver(ownForm),
    defaultValues: { ...(kept?.form ?? (EXAMPLES[0] as OwnForm)) },
    mode: 'onChange',
  });
  const values = useDeferredValue(useWatch({ control: fields.control }) as OwnForm);
  const keymap = useMemo(() => draftOf(view).keymap, [view]);
  const filled = useMemo(() => fill(values, view, keymap), [values, view, keymap]);
  const change = async (id: number, what: FormChange, said: string, undo?: () => void): Promise<boolean> => {
    const stored = await edit({ kind: 'change', id, change: what });
    if (stored) tell(said, undo && { words: 'Undo', run: undo });
    return stored;
  };
  const back = ({ id, form: { name } }: KeptForm): void => void change(id, { putAway: false }, `${name} is back.`);
  const putAway = async (one: KeptForm): Promise<void> => {
    if (await change(one.id, { putAway: true }, `${one.form.name} is put away.`, () => back(one))) router.push(address);
  };
  const keep = fields.handleSubmit(async (own) => {
    if (!kept) {
      if (!(await edit({ kind: 'keep', form: own }))) return;
      tell(`${own.name} is kept with ${program.name}.`);
      router.push(`${address}?form=${store.getState().sync.stored.value.at(-1)?.id}`);
      return;
    }
    const { id, form: before } = kept;
    const asBefore = (): void => {
      fields.reset(before);
      void change(id, { form: before }, `${before.name} is as it was.`);
    };
    if (await change(id, { form: own }, `${own.name} is kept.`, asBefore)) fields.reset(own);
  });
  const beginWith = (example: OwnForm): void => {
    const before = fields.getValues();
    fields.reset({ ...example });
    tell(`Begun with ${example.name}.`, { words: 'Undo', run: () => fields.reset(before) });
  };
  const others = forms.filter((one) => one !== kept);
  const actions: readonly Action[] = [
    ...others.filter((one) => !one.putAway).map((one): Action => [one.form.name, `${address}?form=${one.id}`]),
    ...EXAMPLES.map((one): Action => [`Begin with: ${one.name}`, () => beginWith(one)]),
    ...(kept ? [['Put this form away', () => void putAway(kept)] as const] : []),
    ...others.filter((one) => one.putAway).map((one): Action => [`Bring back ${one.form.name}`, () => back(one)]),
  ];
  return (
    <div className="screen">
      <SheetBar
        title="A form of your own"
        {...{ view, links }}
        part="form"
        choices={<ActionsMenu label="Another form" words={kept?.form.name ?? 'Not kept yet'} actions={actions} />}
      >
        <Button variant="outlined" onClick={() => void keep()}>
          {kept ? 'Keep changes' : `Keep with ${program.name}`}
        </Button>
        <Button
          variant="contained"
          disabled={'problem' in filled}
          onClick={() => 'text' in filled && saveText(filled.text, values.fileName)}
        >
          Save the file
        </Button>
      </SheetBar>
      <SidePanes
        label="The file as it comes out"
        side={{ label: 'The form', width: '27rem', parts: <FormFields form={fields} /> }}
      >
        {'problem' in filled && <Alert severity="error">{filled.problem}</Alert>}
        {'text' in filled && (
          <Told filled={filled} nameOf={(id) => program.commands.find((one) => one.id === id)?.name ?? id} />
        )}
        <pre className="card keys" style={PREVIEW} tabIndex={0}>
          {'text' in filled ? filled.text : ''}
        </pre>
      </SidePanes>
    </div>
  );
}

const PREVIEW = {
  flex: 1,
  minHeight: '12rem',
  margin: 0,
  padding: 'var(--space-4)',
  overflow: 'auto',
  whiteSpace: 'pre-wrap',
  overflowWrap: 'anywhere',
} as const;

function fill(
  form: OwnForm,
  { program, draft }: KeymapView,
  keymap: Parameters<typeof fillForm>[3],
): FilledForm | { readonly problem: string } {
  try {
    return fillForm(form, program, draft.name, keymap);
  } catch (error) {
    if (error instanceof FormProblem) return { problem: error.message };
    throw error;
  }
}

/** What of the keymap is not in the file, and words of the template that stand for nothing. */
function Told({ filled, nameOf }: { readonly filled: FilledForm; readonly nameOf: (id: string) => string }) {
  const { unspelled, unknown } = filled;
  if (unspelled.length + unknown.length === 0) return null;
  const names = [...new Set(unspelled.map((one) => nameOf(one.command)))];
  return (
    <Alert severity="warning" role="note">
      {unknown.length > 0 && (
        <p>
          {unknown.map((word) => `{{${word}}}`).join(', ')} {unknown.length === 1 ? 'stands' : 'stand'} for nothing.
        </p>
      )}
      {unspelled.length > 0 && (
        <p>
          {counted(unspelled.length, 'key')} can't be spelled here, since they are held or have no word:{' '}
          {names.slice(0, 6).join(', ')}
          {names.length > 6 && ` and ${names.length - 6} more`}.
        </p>
      )}
    </Alert>
  );
}
