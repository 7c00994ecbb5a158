import { redirect } from 'next/navigation';
import { signInView } from '@/actions/sign-in/views';
import { pageOf } from '@/app/parameters';
import { SignInForm } from '@/ui/sign-in/sign-in-form';

export const dynamic = 'force-dynamic';

export default async function SignIn({
  searchParams,
}: {
  readonly searchParams: Promise<{ to?: string | readonly string[] }>;
}) {
  const [{ first, chooses, signedIn }, { to }] = await Promise.all([signInView(), searchParams]);
  if (first) redirect('/first');
  if (chooses) redirect('/who');
  return signedIn ? redirect(pageOf(to)) : <SignInForm wanted={pageOf(to)} />;
}
