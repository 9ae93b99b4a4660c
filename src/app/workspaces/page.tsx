import { redirect } from 'next/navigation';
import { lastUsed } from '@/server/useCases/screens';

/** The workspaces of the program used last. */
export default async function Page() {
  const last = await lastUsed();
  redirect(last ? `/workspaces/${last.program}` : '/shelf');
}
