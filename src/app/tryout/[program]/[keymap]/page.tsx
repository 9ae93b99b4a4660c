import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { listLinks, loadKeymapView, noteUse, orMissing } from '@/server/useCases/screens';
import { Tryout } from '@/ui/tryout/Tryout';

type Props = { params: Promise<{ program: string; keymap: string }> };

export const metadata: Metadata = { title: 'Tryout' };

/** The stand-in program of a keymap. */
export default async function Page({ params }: Props) {
  const { program, keymap } = await params;
  const view = await orMissing(loadKeymapView(decodeURIComponent(program), decodeURIComponent(keymap)));
  if (!view) notFound();
  await noteUse(view.draft.id);
  return <Tryout key={`${view.draft.id} ${view.draft.revision}`} view={view} links={await listLinks()} />;
}
