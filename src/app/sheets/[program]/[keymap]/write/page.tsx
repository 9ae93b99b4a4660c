import { notFound } from 'next/navigation';
import { addressPart } from '@/app/addressPart';
import { titleOf } from '@/app/titleOf';
import { ofOneMoment } from '@/server/database';
import { loadChangeList } from '@/server/useCases/changeList';
import { listLinks, orMissing } from '@/server/useCases/screens';
import { filesOfKeymap } from '@/server/useCases/writeBack';
import { WriteBack } from '@/ui/writeBack/WriteBack';

type Props = {
  params: Promise<{ program: string; keymap: string }>;
  searchParams: Promise<{ file?: string }>;
};

export const generateMetadata = titleOf('Write it back');

/** A keymap written back into the file its program reads. */
export default ofOneMoment(async function Page({ params, searchParams }: Props) {
  const { program, keymap } = await params;
  const given = await orMissing(loadChangeList(addressPart(program), addressPart(keymap), null));
  if (!given) notFound();
  const files = await filesOfKeymap(given.view.draft.id);
  const asked = Number((await searchParams).file);
  const file = files.files.find((one) => one.id === asked)?.id ?? files.files[0]?.id ?? null;
  return <WriteBack key={given.view.draft.id} given={given} links={await listLinks()} files={files} file={file} />;
});
