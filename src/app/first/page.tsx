import { redirect } from 'next/navigation';
import { firstView } from '@/actions/sign-in/views';
import { FirstForm } from '@/ui/sign-in/choose-form';

export const dynamic = 'force-dynamic';

export default async function First() {
  const view = await firstView();
  return view === undefined ? redirect('/') : <FirstForm {...view} />;
}
