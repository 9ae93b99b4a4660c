import { notFound } from 'next/navigation';
import { after } from 'next/server';
import { addressPart } from '@/app/addressPart';
import { titleOf } from '@/app/titleOf';
import { ofOneMoment } from '@/server/database';
import { loadMatch } from '@/server/useCases/match';
import { packScreen } from '@/server/useCases/packScreen';
import { listLinks, noteUse, orMissing } from '@/server/useCases/screens';
import { PackedMatch } from '@/ui/match/Match';
import { SHOWN } from '@/ui/match/matchRows';
import { NoOther } from '@/ui/match/NoOther';

type Props = {
  params: Promise<{ program: string; keymap: string }>;
  searchParams: Promise<{ like?: string | string[]; show?: string | string[] }>;
};

export const generateMetadata = titleOf('Match');

/** A keymap and the one it is to feel like; which that is stands in the address. */
export default ofOneMoment(async function Page({ params, searchParams }: Props) {
  const { program, keymap } = await params;
  const { like, show } = await searchParams;
  const [otherProgram, otherKeymap] = typeof like === 'string' ? like.split('/') : [];
  const other = otherProgram && otherKeymap ? { program: otherProgram, keymap: otherKeymap } : null;
  const match = await orMissing(loadMatch(addressPart(program), addressPart(keymap), other));
  if (!match) notFound();
  const { theirs } = match;
  if (!theirs) return <NoOther program={match.view.program.name} />;
  after(() => noteUse(match.view.draft.id));
  return (
    <PackedMatch
      key={`${match.view.draft.id} ${theirs.draft.id}`}
      packed={packScreen({
        match: { ...match, theirs },
        links: await listLinks(),
        initialShown: SHOWN.find((one) => one === show) ?? null,
      })}
    />
  );
});
