import { notFound } from 'next/navigation';
import { addressPart } from '@/app/addressPart';
import { titleOf } from '@/app/titleOf';
import { ofOneMoment } from '@/server/database';
import { loadChangeList } from '@/server/useCases/changeList';
import { listLinks, orMissing } from '@/server/useCases/screens';
import { ChangeList } from '@/ui/changes/ChangeList';

type Props = {
  params: Promise<{ program: string; keymap: string }>;
  searchParams: Promise<{ from?: string }>;
};

export const generateMetadata = titleOf('Change list');

/** The steps that carry a keymap into the real program by hand. */
export default ofOneMoment(async function Page({ params, searchParams }: Props) {
  const { program, keymap } = await params;
  const { from } = await searchParams;
  const given = await orMissing(loadChangeList(addressPart(program), addressPart(keymap), from ?? null));
  if (!given) notFound();
  return <ChangeList key={`${given.view.draft.id} ${given.from.draft.id}`} given={given} links={await listLinks()} />;
});
