import type { FormChange, KeptForm } from '../../core/ownForm/formEdits';
import type { OwnForm } from '../../core/ownForm/ownForm';
import type { EditMark, Versioned } from '../../core/sync/versioned';
import { now } from '../clock';
import { ofOneMoment } from '../database';
import { formById, insertForm, listForms, updateForm } from '../repositories/ownForms';
import { findProgram } from '../repositories/programs';
import { editInStep, versioned } from './inStep';

const keptWith = (programId: number) => ({
  thing: `forms ${programId}`,
  what: 'The list of forms was',
  read: async (): Promise<readonly KeptForm[]> =>
    (await listForms(programId)).map(({ id, form, putAwayAt }) => ({ id, form, putAway: putAwayAt !== null })),
});

/** The forms kept with a program. @throws Problem when there is no such program. */
export const formsOf = ofOneMoment(async function formsOf(slug: string): Promise<Versioned<readonly KeptForm[]>> {
  return versioned(keptWith((await findProgram(slug)).id));
});

/** Keeps a form with a program. @returns all that are kept with it then, the new one last. */
export async function keepForm(
  slug: string,
  form: OwnForm,
  mark: EditMark = {},
): Promise<Versioned<readonly KeptForm[]>> {
  const { id } = await findProgram(slug);
  return editInStep(keptWith(id), mark, (transaction) => insertForm(id, form, transaction));
}

/** Changes a form, puts it away or back. @returns all that are kept with its program then. */
export async function changeForm(
  id: number,
  { form, putAway }: FormChange,
  mark: EditMark = {},
): Promise<Versioned<readonly KeptForm[]>> {
  const { programId } = await formById(id);
  const values = {
    ...(form === undefined ? {} : { form }),
    ...(putAway === undefined ? {} : { putAwayAt: putAway ? now() : null }),
  };
  return editInStep(keptWith(programId), mark, (transaction) => updateForm(id, values, transaction));
}
