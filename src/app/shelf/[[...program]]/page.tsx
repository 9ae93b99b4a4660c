import type { Metadata } from 'next';
import { ofOneMoment } from '@/server/database';
import { packScreen } from '@/server/useCases/packScreen';
import { loadShelf } from '@/server/useCases/screens';
import { PackedShelf } from '@/ui/shelf/Shelf';

export const metadata: Metadata = { title: 'Shelf' };

/** The Shelf, scrolled to a program if the address names one. */
export default ofOneMoment(async function Page({ params }: { params: Promise<{ program?: string[] }> }) {
  return <PackedShelf packed={packScreen({ programs: await loadShelf(), at: (await params).program?.[0] ?? null })} />;
});
