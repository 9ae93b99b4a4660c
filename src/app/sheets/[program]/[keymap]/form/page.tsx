import { notFound } from 'next/navigation';
import { addressPart } from '@/app/addressPart';
import { titleOf } from '@/app/titleOf';
import { ofOneMoment } from '@/server/database';
import { formsOf } from '@/server/useCases/ownForms';
import { listLinks, loadKeymapView, orMissing } from '@/server/useCases/screens';
import { OwnForms } from '@/ui/ownForm/OwnForms';

type Props = {
  params: Promise<{ program: string; keymap: string }>;
  searchParams: Promise<{ form?: string }>;
};

export const generateMetadata = titleOf('A form of your own');

/** A keymap written in a form of one's own, for a program that reads a text but never gave one. */
export default ofOneMoment(async function Page({ params, searchParams }: Props) {
  const { program, keymap } = await params;
  const view = await orMissing(loadKeymapView(addressPart(program), addressPart(keymap)));
  if (!view) notFound();
  const forms = await formsOf(addressPart(program));
  const asked = Number((await searchParams).form);
  const form = forms.value.find((one) => one.id === asked) ?? null;
  return (
    <OwnForms
      key={`${view.draft.id} ${form?.id ?? ''}`}
      view={view}
      links={await listLinks()}
      forms={forms}
      form={form?.id ?? null}
    />
  );
});
