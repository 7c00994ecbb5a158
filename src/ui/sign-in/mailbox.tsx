import type { mailboxView } from '@/actions/sign-in/views';

import { PlainPage } from './plain-page';
import { When } from '../parts/when';

/** The words of a message; an address of ours in it can be followed. */
const Body = ({ text }: { readonly text: string }) =>
  text.split(/(https?:\/\/\S+\/way-in\/[\w-]+)/).map((part, at) =>
    at % 2 === 1 && URL.canParse(part) ? (
      <a key={at} href={new URL(part).pathname} className="link break-all">
        {part}
      </a>
    ) : (
      part
    ),
  );

/** Where e-mail goes as long as no way to send it is set up: plainly marked, and on this machine only. */
export const Mailbox = ({ mail }: { readonly mail: NonNullable<Awaited<ReturnType<typeof mailboxView>>> }) => (
  <PlainPage
    title="Simulated mailbox"
    about="No way to send e-mail is set up (SMTP_URL), and the server answers this machine only, so what would be sent lies here."
  >
    {mail.length === 0 && <p className="note">Nothing was sent yet.</p>}
    <ol className="space-y-5">
      {mail.map(({ id, to, subject, body, at }) => (
        <li key={id} className="border-l-4 border-rule pl-3">
          <p className="font-medium">{subject}</p>
          <p className="note">
            to {to} · <When at={at} />
          </p>
          <p className="mt-1 text-sm whitespace-pre-wrap">
            <Body text={body} />
          </p>
        </li>
      ))}
    </ol>
  </PlainPage>
);
