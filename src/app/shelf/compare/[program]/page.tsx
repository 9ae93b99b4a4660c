import { notFound } from 'next/navigation';
import { addressPart } from '@/app/addressPart';
import { titleOf } from '@/app/titleOf';
import { ofOneMoment } from '@/server/database';
import { packScreen } from '@/server/useCases/packScreen';
import { listLinks, loadKeymapView, orMissing } from '@/server/useCases/screens';
import { PackedCompare } from '@/ui/compare/Compare';

type Props = {
  params: Promise<{ program: string }>;
  searchParams: Promise<{ left?: string | string[]; right?: string | string[] }>;
};

export const generateMetadata = titleOf('Compare');

/** Two keymaps of a program side by side; which they are stands in the address. */
export default ofOneMoment(async function Page({ params, searchParams }: Props) {
  const program = addressPart((await params).program);
  const links = (await listLinks()).filter((link) => link.program === program);
  const { left, right } = await searchParams;
  const named = (given: string | string[] | undefined) => links.find((link) => link.keymap === given);
  const second = named(right) ?? named(left) ?? links[1] ?? links[0];
  const first = named(right) ? named(left) : links.find((link) => link.factory);
  const views =
    first && second
      ? await orMissing(Promise.all([first, second].map((one) => loadKeymapView(program, one.keymap))))
      : null;
  const [one, other] = views ?? [];
  if (!one || !other) notFound();
  const packed = packScreen({ left: one, right: other, links });
  return <PackedCompare key={`${one.draft.id} ${other.draft.id}`} packed={packed} />;
});
