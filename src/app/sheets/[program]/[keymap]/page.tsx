import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { listLinks, loadKeymapView, orMissing } from '@/server/useCases/screens';
import { sheetOptions } from '@/server/useCases/sheets';
import { loadRoom } from '@/server/useCases/workspaces';
import { Sheets } from '@/ui/sheets/Sheets';

type Props = {
  params: Promise<{ program: string; keymap: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
};

export const metadata: Metadata = { title: 'Sheets' };

/** The sheet of one keymap; what is on it stands in the address. */
export default async function Page({ params, searchParams }: Props) {
  const { program, keymap } = await params;
  const view = await orMissing(loadKeymapView(decodeURIComponent(program), decodeURIComponent(keymap)));
  if (!view) notFound();
  const today = new Date().toLocaleDateString('en-US', { day: 'numeric', month: 'long', year: 'numeric' });
  return (
    <Sheets
      key={view.draft.id}
      view={view}
      dressing={(await loadRoom(view.programSlug)).state.room.menus}
      links={await listLinks()}
      initial={sheetOptions({ contents: view.toFactory.length > 0 ? 'yours' : 'all', ...(await searchParams) })}
      today={today}
    />
  );
}
