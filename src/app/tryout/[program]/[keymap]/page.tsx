import { notFound } from 'next/navigation';
import { after } from 'next/server';
import { addressPart } from '@/app/addressPart';
import { titleOf } from '@/app/titleOf';
import { ofOneMoment } from '@/server/database';
import { packScreen } from '@/server/useCases/packScreen';
import { listLinks, loadKeymapView, noteUse, orMissing } from '@/server/useCases/screens';
import { loadRoom } from '@/server/useCases/workspaces';
import { PackedTryout } from '@/ui/tryout/Tryout';

type Props = { params: Promise<{ program: string; keymap: string }> };

export const generateMetadata = titleOf('Tryout');

/** The stand-in program of a keymap. */
export default ofOneMoment(async function Page({ params }: Props) {
  const { program, keymap } = await params;
  const view = await orMissing(loadKeymapView(addressPart(program), addressPart(keymap)));
  if (!view) notFound();
  after(() => noteUse(view.draft.id));
  const roomView = await loadRoom(view.programSlug);
  return (
    <PackedTryout
      key={`${view.draft.id} ${view.draft.revision} ${roomView.state.person}`}
      packed={packScreen({
        view,
        roomView,
        links: await listLinks(),
      })}
    />
  );
});
