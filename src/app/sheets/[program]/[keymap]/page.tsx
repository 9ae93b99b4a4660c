import { notFound } from 'next/navigation';
import { addressPart } from '@/app/addressPart';
import { titleOf } from '@/app/titleOf';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { Contents } from '@/core/sheet/sheetSpec';
import { sheetOptions } from '@/schemas/sheets';
import { ofOneMoment } from '@/server/database';
import { packScreen } from '@/server/useCases/packScreen';
import { listLinks, orMissing } from '@/server/useCases/screens';
import { loadSheets } from '@/server/useCases/sheets';
import { PackedSheets } from '@/ui/sheets/Sheets';

type Props = {
  params: Promise<{ program: string; keymap: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
};

export const generateMetadata = titleOf('Sheets');

/** The sheet of one keymap; what is on it stands in the address. */
export default ofOneMoment(async function Page({ params, searchParams }: Props) {
  const { program, keymap } = await params;
  const given = await orMissing(loadSheets(addressPart(program), addressPart(keymap)));
  if (!given) notFound();
  const { view } = given;
  const today = new Date().toLocaleDateString('en-US', { day: 'numeric', month: 'long', year: 'numeric' });
  return (
    <PackedSheets
      key={view.draft.id}
      packed={packScreen({
        given,
        links: await listLinks(),
        initial: sheetOptions({ ...usual(view, await searchParams), ...(await searchParams) }),
        today,
      })}
    />
  );
});

/** What was changed goes first on a sheet of one's own; the whole reference is whole. */
const usual = ({ toFactory }: KeymapView, { form }: Readonly<Record<string, unknown>>): { contents?: Contents } =>
  form === 'reference' ? {} : { contents: toFactory.length > 0 ? 'yours' : 'all' };
