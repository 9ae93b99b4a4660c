import type { Metadata } from 'next';
import { ofOneMoment } from '@/server/database';
import { loadPrograms } from '@/server/useCases/match';
import { packScreen } from '@/server/useCases/packScreen';
import { listLinks } from '@/server/useCases/screens';
import { PackedCompareAll } from '@/ui/match/CompareAll';
import { NoOther } from '@/ui/match/NoOther';

type Props = { searchParams: Promise<{ with?: string | string[]; show?: string | string[] }> };

export const metadata: Metadata = { title: 'Compare' };

/** Several keymaps of any programs, each compared with each; which they are stands in the address. */
export default ofOneMoment(async function Page({ searchParams }: Props) {
  const given = await searchParams;
  const asked = given.with === undefined ? [] : [given.with].flat();
  const all = await loadPrograms(asked.slice(0, 6));
  if (all.views.length < 2) return <NoOther program={all.views[0]?.program.name ?? 'Nothing'} />;
  const key = all.views.map((one) => one.draft.id).join();
  return (
    <PackedCompareAll
      key={key}
      packed={packScreen({
        all,
        links: await listLinks(),
        initialShown: given.show === 'concepts' ? 'concepts' : 'hands',
      })}
    />
  );
});
