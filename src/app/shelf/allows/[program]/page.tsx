import { notFound } from 'next/navigation';
import { addressPart } from '@/app/addressPart';
import { titleOf } from '@/app/titleOf';
import { ofOneMoment } from '@/server/database';
import { loadProgramView } from '@/server/useCases/editProgram';
import { packScreen } from '@/server/useCases/packScreen';
import { orMissing } from '@/server/useCases/screens';
import { PackedAllows } from '@/ui/allows/Allows';

export const generateMetadata = titleOf('What the program allows');

/** What a program says of itself: places, turns, fixed keys, forms, menu letters, commands. */
export default ofOneMoment(async function Page({ params }: { params: Promise<{ program: string }> }) {
  const view = await orMissing(loadProgramView(addressPart((await params).program)));
  if (!view) notFound();
  return <PackedAllows packed={packScreen({ initial: view })} />;
});
