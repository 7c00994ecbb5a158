import { wayInView } from '@/actions/sign-in/views';
import { LINKS } from '@/core/access/links';
import { ChooseForm } from '@/ui/sign-in/choose-form';
import { PlainPage } from '@/ui/sign-in/plain-page';
import { Go } from '@/ui/parts/go';

export const dynamic = 'force-dynamic';

export default async function WayIn({ params }: { readonly params: Promise<{ token: string }> }) {
  const { token } = await params;
  const view = await wayInView(token);
  if (view !== undefined) return <ChooseForm token={token} {...view} />;
  return (
    <PlainPage title="This link does not hold">
      <p>
        Each works once, and only for a time: an invitation for {LINKS.invitation.holds}, another passphrase for{' '}
        {LINKS.recovery.holds}.
      </p>
      <p className="mt-3">
        <Go href="/forgotten" className="link">
          Ask for another
        </Go>
        {', or ask an owner of the practice.'}
      </p>
    </PlainPage>
  );
}
