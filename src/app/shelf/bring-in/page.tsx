import type { Metadata } from 'next';
import { BringIn } from '@/ui/bringIn/BringIn';

export const metadata: Metadata = { title: 'Bring a program in' };

export default function Page() {
  return <BringIn />;
}
