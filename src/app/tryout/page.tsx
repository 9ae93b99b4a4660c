import { redirect } from 'next/navigation';
import { lastUsed } from '@/server/useCases/screens';

/** The tryout of the keymap used last. */
export default async function Page() {
  const last = await lastUsed();
  redirect(last ? `/tryout/${last.program}/${last.keymap}` : '/shelf');
}
