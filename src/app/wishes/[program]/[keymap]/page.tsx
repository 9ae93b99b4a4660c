import { notFound } from 'next/navigation';
import { after } from 'next/server';
import { addressPart } from '@/app/addressPart';
import { titleOf } from '@/app/titleOf';
import { ofOneMoment } from '@/server/database';
import { loadWishes } from '@/server/useCases/advice';
import { packScreen } from '@/server/useCases/packScreen';
import { listLinks, noteUse, orMissing } from '@/server/useCases/screens';
import { PackedWishes } from '@/ui/wishes/Wishes';

type Props = {
  params: Promise<{ program: string; keymap: string }>;
  searchParams: Promise<{ show?: string | string[] }>;
};

export const generateMetadata = titleOf('Wish list');

/** The wish list of a keymap: what is wished for, the plan, and what it brings. */
export default ofOneMoment(async function Page({ params, searchParams }: Props) {
  const { program, keymap } = await params;
  const { show } = await searchParams;
  const wishes = await orMissing(loadWishes(addressPart(program), addressPart(keymap)));
  if (!wishes) notFound();
  after(() => noteUse(wishes.view.draft.id));
  return (
    <PackedWishes
      key={wishes.view.draft.id}
      packed={packScreen({
        wishes,
        links: await listLinks(),
        initialShown: show === 'gains' ? 'gains' : 'plan',
      })}
    />
  );
});
