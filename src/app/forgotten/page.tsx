import { signInView } from '@/actions/sign-in/views';
import { ForgottenForm } from '@/ui/sign-in/sign-in-form';

export const dynamic = 'force-dynamic';

export default async function Forgotten() {
  return <ForgottenForm mailbox={(await signInView()).mail === 'simulated'} />;
}
