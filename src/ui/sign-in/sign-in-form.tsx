'use client';

import { useState } from 'react';
import { LINKS } from '@/core/access/links';
import { Go } from '../parts/go';
import { TextField } from '../parts/text-field';
import { PlainPage } from './plain-page';
import { SecretField } from './secret-field';
import { StepForm } from './step-form';
import { goTo, useStep } from './use-step';

/** One signs in with address and passphrase, then perhaps with a code. */
export const SignInForm = ({ wanted }: { readonly wanted: string }) => {
  const [email, setEmail] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const step = useStep('enter', ({ to }) => goTo(to === '/' ? wanted : `${to}?to=${encodeURIComponent(wanted)}`));
  return (
    <PlainPage title="Sign in">
      <StepForm
        step={step}
        given={{ email, passphrase }}
        button="Sign in"
        beside={
          <Go href="/forgotten" className="link text-sm">
            Forgotten the passphrase
          </Go>
        }
      >
        <TextField first label="E-mail" type="email" autoComplete="username" value={email} onValue={setEmail} />
        <SecretField label="Passphrase" value={passphrase} onValue={setPassphrase} />
      </StepForm>
    </PlainPage>
  );
};

/** The second step: the code that a device shows, or one of those kept for when it is lost. */
export const CodeForm = ({ wanted }: { readonly wanted: string }) => {
  const [code, setCode] = useState('');
  const step = useStep('code', () => goTo(wanted));
  return (
    <PlainPage title="The second step" about="Type the six digits that your device shows for Bathron now.">
      <StepForm
        step={step}
        given={{ code }}
        button="Go on"
        beside={
          <Go href="/sign-in" className="link text-sm">
            Begin again
          </Go>
        }
      >
        <TextField
          first
          label="Code"
          hint="Is the device lost? One of your recovery codes does as well; each works once."
          autoComplete="one-time-code"
          value={code}
          onValue={setCode}
        />
      </StepForm>
    </PlainPage>
  );
};

/** A link for another passphrase is asked for. */
export const ForgottenForm = ({ mailbox }: { readonly mailbox: boolean }) => {
  const [email, setEmail] = useState('');
  const [sent, setSent] = useState(false);
  const step = useStep('forgotten', () => setSent(true));
  return (
    <PlainPage
      title="Another passphrase"
      about={`A link comes by e-mail. It works once, for ${LINKS.recovery.holds}, and ends all your sessions.`}
    >
      {sent ? (
        <div role="status" className="space-y-3">
          <p>If somebody signs in with {email}, the link is on its way.</p>
          {mailbox && (
            <p className="text-sm">
              No way to send e-mail is set up on this machine, so it lies in the{' '}
              <Go href="/simulated/mailbox" className="link">
                simulated mailbox
              </Go>
              .
            </p>
          )}
        </div>
      ) : (
        <StepForm step={step} given={{ email }} button="Send the link">
          <TextField first label="E-mail" type="email" autoComplete="username" value={email} onValue={setEmail} />
        </StepForm>
      )}
      <p className="mt-4">
        <Go href="/sign-in" className="link text-sm">
          Back to signing in
        </Go>
      </p>
    </PlainPage>
  );
};
