import { redirect } from 'next/navigation';
import { lastUsed } from '@/server/useCases/screens';

/** The Board of the keymap used last. */
export default async function Page() {
  const last = await lastUsed();
  redirect(last ? `/board/${last.program}/${last.keymap}` : '/shelf');
}
