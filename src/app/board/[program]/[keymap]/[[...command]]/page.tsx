import { notFound } from 'next/navigation';
import { after } from 'next/server';
import { addressPart } from '@/app/addressPart';
import { titleOf } from '@/app/titleOf';
import { ofOneMoment } from '@/server/database';
import { loadAdvice } from '@/server/useCases/advice';
import { packScreen } from '@/server/useCases/packScreen';
import { listLinks, loadKeymapView, noteUse, orMissing } from '@/server/useCases/screens';
import { PackedBoard } from '@/ui/board/Board';

type Props = {
  params: Promise<{ program: string; keymap: string; command?: string[] }>;
  searchParams: Promise<{ show?: string | string[] }>;
};

export const generateMetadata = titleOf('Board');

/** The Board of one keymap, with a command on the bench if the address names one. */
export default ofOneMoment(async function Page({ params, searchParams }: Props) {
  const { show } = await searchParams;
  const { program, keymap, command } = await params;
  const view = await orMissing(loadKeymapView(addressPart(program), addressPart(keymap)));
  if (!view) notFound();
  after(() => noteUse(view.draft.id));
  const id = command?.[0] === undefined ? null : addressPart(command[0]);
  return (
    <PackedBoard
      key={view.draft.id}
      packed={packScreen({
        view,
        advice: await loadAdvice(view),
        links: await listLinks(),
        initialShown: typeof show === 'string' ? show : null,
        initialCommand: view.program.commands.some((one) => one.id === id) ? id : null,
      })}
    />
  );
});
