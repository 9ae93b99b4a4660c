import { redirect } from 'next/navigation';
import { lastUsed } from '@/server/useCases/screens';

/** The sheet of the keymap used last. */
export default async function Page() {
  const last = await lastUsed();
  redirect(last ? `/sheets/${last.program}/${last.keymap}` : '/shelf');
}
