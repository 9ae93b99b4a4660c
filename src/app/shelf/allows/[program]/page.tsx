import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { loadProgramView } from '@/server/useCases/editProgram';
import { orMissing } from '@/server/useCases/screens';
import { Allows } from '@/ui/allows/Allows';

export const metadata: Metadata = { title: 'What the program allows' };

/** What a program says of itself: places, turns, fixed keys, forms, menu letters, commands. */
export default async function Page({ params }: { params: Promise<{ program: string }> }) {
  const view = await orMissing(loadProgramView(decodeURIComponent((await params).program)));
  if (!view) notFound();
  return <Allows initial={view} />;
}
