import { redirect } from 'next/navigation';
import { choiceView } from '@/actions/people/views';
import { accountView } from '@/actions/sign-in/views';
import { AccountPage } from '@/ui/sign-in/account-page';

export const dynamic = 'force-dynamic';

export default async function Account() {
  const view = await accountView();
  if (view !== undefined) return <AccountPage {...view} />;
  // In the demo's data nobody has a passphrase; one chooses whom to be.
  redirect((await choiceView()).demo ? '/who' : '/sign-in');
}
