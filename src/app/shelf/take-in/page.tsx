import type { Metadata } from 'next';
import { TakeIn } from '@/ui/takeIn/TakeIn';

export const metadata: Metadata = { title: 'Take everything in' };

export default function Page() {
  return <TakeIn />;
}
