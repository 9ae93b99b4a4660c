import { redirect } from 'next/navigation';
import { lastUsed } from '@/server/useCases/screens';

/** The match of the keymap used last. */
export default async function Page() {
  const last = await lastUsed();
  redirect(last ? `/match/${last.program}/${last.keymap}` : '/shelf');
}
