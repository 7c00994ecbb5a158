import { notFound } from 'next/navigation';
import { mailboxView } from '@/actions/sign-in/views';
import { Mailbox } from '@/ui/sign-in/mailbox';

export const dynamic = 'force-dynamic';

export default async function SimulatedMailbox() {
  const mail = await mailboxView();
  return mail === undefined ? notFound() : <Mailbox mail={mail} />;
}
