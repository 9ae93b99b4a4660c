import { notFound } from 'next/navigation';
import { addressPart } from '@/app/addressPart';
import { titleOf } from '@/app/titleOf';
import { ofOneMoment } from '@/server/database';
import { packScreen } from '@/server/useCases/packScreen';
import { loadPacks } from '@/server/useCases/packs';
import { listLinks, orMissing } from '@/server/useCases/screens';
import { PackedPacks } from '@/ui/packs/Packs';

type Props = {
  params: Promise<{ program: string; keymap: string }>;
  searchParams: Promise<{ from?: string | string[] }>;
};

export const generateMetadata = titleOf('Packs');

/** Packs of a keymap; which other keymap of its program it is compared with stands in the address. */
export default ofOneMoment(async function Page({ params, searchParams }: Props) {
  const { program, keymap } = await params;
  const { from } = await searchParams;
  const given = await orMissing(
    loadPacks(addressPart(program), addressPart(keymap), typeof from === 'string' ? from : null),
  );
  if (!given) notFound();
  const packed = packScreen({ ...given, links: await listLinks() });
  return <PackedPacks key={given.view.draft.id} packed={packed} />;
});
