'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import type { accountView } from '@/actions/sign-in/views';
import { ROLE_FACTS } from '@/core/access/roles';

import { Problems } from '../parts/problems';
import { PracticePage } from '../people/practice-page';
import { SecondStepPart } from './second-step-part';
import { SecretField } from './secret-field';
import { StepForm } from './step-form';
import { goTo, useStep } from './use-step';
import { useRefresh } from '../parts/use-refresh';
import { When } from '../parts/when';

type View = NonNullable<Awaited<ReturnType<typeof accountView>>>;

/** How somebody signs in: their passphrase, their second step, and where they are signed in. */
export const AccountPage = ({ practice, name, role, email, secondStep, demanded, session, sessions }: View) => {
  const out = useStep('leave', ({ to }) => goTo(to));
  return (
    <PracticePage
      practice={practice}
      title={name}
      beside={
        <p className="text-sm text-ink-2">
          {ROLE_FACTS[role].label} · {email}
        </p>
      }
      actions={
        <button type="button" className="btn btn-sm" disabled={out.busy} onClick={() => out.run({})}>
          Sign out
        </button>
      }
    >
      <div className="grid max-w-4xl items-start gap-8 md:grid-cols-2">
        <div className="space-y-6">
          {demanded && (
            <p role="note" className="border-l-4 border-ochre bg-paper-2 px-3 py-2 text-sm">
              {practice} asks for a second step of everybody who is {ROLE_FACTS[role].label.toLowerCase()}. Set it up
              here; then the books open.
            </p>
          )}
          <SecondStepPart on={secondStep} />
          <Sessions session={session} sessions={sessions} />
        </div>
        <PassphrasePart about={[name, email, practice]} />
      </div>
    </PracticePage>
  );
};

const PassphrasePart = ({ about }: { readonly about: readonly string[] }) => {
  const [current, setCurrent] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const refresh = useRefresh();
  const step = useStep('passphrase', () => {
    toast('Passphrase changed; your other sessions have ended');
    setCurrent('');
    setPassphrase('');
    refresh();
  });
  return (
    <section>
      <h2 id="passphrase" className="title mb-2 text-lg">
        Another passphrase
      </h2>
      <StepForm step={step} given={{ current, passphrase }} button="Change it" plain label="passphrase">
        <SecretField label="Passphrase until now" value={current} onValue={setCurrent} />
        <SecretField label="New passphrase" fresh about={about} value={passphrase} onValue={setPassphrase} />
      </StepForm>
    </section>
  );
};

/** A browser by the words that it says of itself which people know. */
const browserOf = (text: string): string => {
  const browser = /Firefox|Edg|OPR|Chrome|Safari/.exec(text)?.[0] ?? '';
  const system = /Windows|Android|iPhone|iPad|Mac OS|Linux/.exec(text)?.[0] ?? '';
  const said = [{ Edg: 'Edge', OPR: 'Opera' }[browser] ?? browser, system].filter((part) => part !== '').join(', ');
  return said === '' ? 'A program' : said;
};

const Sessions = ({ session, sessions }: Pick<View, 'session' | 'sessions'>) => {
  const refresh = useRefresh();
  const { run, busy, problems } = useStep('end-session', refresh);
  return (
    <section aria-labelledby="sessions">
      <h2 id="sessions" className="title text-lg">
        Where you are signed in
      </h2>
      <ul className="mt-1 divide-y divide-hairline border-y border-rule text-sm">
        {sessions.map(({ id, since, until, address, browser }) => (
          <li key={id} className="flex items-center justify-between gap-3 py-1.5">
            <span>
              {browserOf(browser)}
              {id === session && <span className="note ml-2">this one</span>}
              <span className="note block">
                since <When at={since} />
                {address === '' ? '' : `, from ${address}`}; until <When at={until} />
              </span>
            </span>
            {id !== session && (
              <button type="button" className="btn btn-xs" disabled={busy} onClick={() => run({ session: id })}>
                End it
              </button>
            )}
          </li>
        ))}
      </ul>
      <Problems problems={problems} />
    </section>
  );
};
