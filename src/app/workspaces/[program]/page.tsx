import { notFound } from 'next/navigation';
import { addressPart } from '@/app/addressPart';
import { titleOf } from '@/app/titleOf';
import { ofOneMoment } from '@/server/database';
import { packScreen } from '@/server/useCases/packScreen';
import { listLinks, orMissing } from '@/server/useCases/screens';
import { loadWorkspaces } from '@/server/useCases/workspaces';
import { showOf } from '@/ui/workspaces/shows';
import { PackedWorkspaces } from '@/ui/workspaces/Workspaces';

type Props = { params: Promise<{ program: string }>; searchParams: Promise<Record<string, string | undefined>> };

export const generateMetadata = titleOf('Workspaces');

/** What surrounds the keys of a program: panels, menus, tools, appearance, and what is kept of them. */
export default ofOneMoment(async function Page({ params, searchParams }: Props) {
  const slug = addressPart((await params).program);
  const given = await orMissing(loadWorkspaces(slug));
  if (!given) notFound();
  const { show, open } = await searchParams;
  const { state } = given.roomView;
  return (
    <PackedWorkspaces
      key={`${slug} ${state.person}`}
      packed={packScreen({
        given,
        links: await listLinks(),
        initialShow: showOf(show),
        initialOpen: open ?? null,
      })}
    />
  );
});
