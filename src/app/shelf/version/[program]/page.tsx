import { notFound } from 'next/navigation';
import { addressPart } from '@/app/addressPart';
import { titleOf } from '@/app/titleOf';
import { ofOneMoment } from '@/server/database';
import { loadNewVersion } from '@/server/useCases/newVersions';
import { packScreen } from '@/server/useCases/packScreen';
import { orMissing } from '@/server/useCases/screens';
import { PackedNewVersion } from '@/ui/newVersion/NewVersion';

type Props = {
  params: Promise<{ program: string }>;
  searchParams: Promise<{ keymap?: string | string[] }>;
};

export const generateMetadata = titleOf('New version');

/** A new version of a program; whose keymap is looked at stands in the address. */
export default ofOneMoment(async function Page({ params, searchParams }: Props) {
  const { keymap } = await searchParams;
  const program = addressPart((await params).program);
  const view = await orMissing(loadNewVersion(program, typeof keymap === 'string' ? keymap : null));
  if (!view) notFound();
  return <PackedNewVersion key={view.before.draft.id} packed={packScreen({ view })} />;
});
