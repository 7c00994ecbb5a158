'use client';

import { useState } from 'react';
import type { firstView, wayInView } from '@/actions/sign-in/views';
import { ROLE_FACTS } from '@/core/access/roles';
import type { Problem } from '@/core/base/result';
import { Problems } from '../parts/problems';
import { TextField } from '../parts/text-field';
import { PlainPage } from './plain-page';
import { SecretField } from './secret-field';
import { goTo, useStep } from './use-step';

const at = (problems: readonly Problem[], field: string): string | undefined =>
  problems.find(({ path }) => path?.[0] === field)?.message;

/** Somebody who followed a link chooses a passphrase: for the first time, or another one. */
export const ChooseForm = ({
  token,
  kind,
  name,
  email,
  practice,
  role,
}: { readonly token: string } & NonNullable<Awaited<ReturnType<typeof wayInView>>>) => {
  const [passphrase, setPassphrase] = useState('');
  const { run, busy, problems } = useStep('choose', ({ to }) => goTo(to));
  return (
    <PlainPage
      title={kind === 'invitation' ? `Welcome to ${practice}` : 'Another passphrase'}
      about={
        kind === 'invitation'
          ? `${name}, you take part as ${ROLE_FACTS[role].label.toLowerCase()}: ${ROLE_FACTS[role].means}. You sign in as ${email}.`
          : `${name}, you sign in as ${email} from now on with what you choose here. All your sessions end.`
      }
    >
      <form
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          run({ token, passphrase });
        }}
      >
        {/* So that what keeps passphrases knows whose this is. */}
        <input type="hidden" autoComplete="username" value={email} readOnly />
        <SecretField
          label="Passphrase"
          fresh
          about={[name, email, practice]}
          value={passphrase}
          onValue={setPassphrase}
        />
        <Problems problems={problems} />
        <button className="btn btn-primary btn-sm" disabled={busy}>
          Take it and sign in
        </button>
      </form>
    </PlainPage>
  );
};

/** The first start: the practice and its first owner are named, by whoever can read what the server printed. */
export const FirstForm = ({ practice, name }: NonNullable<Awaited<ReturnType<typeof firstView>>>) => {
  const [fields, setFields] = useState({ code: '', practice, name, email: '', passphrase: '' });
  const { run, busy, problems } = useStep('begin', ({ to }) => goTo(to));
  const set = (part: Partial<typeof fields>): void => setFields((was) => ({ ...was, ...part }));
  const fieldless = problems.filter(({ path }) => !Object.hasOwn(fields, String(path?.[0])));
  return (
    <PlainPage
      title="The first start"
      about="Nobody can sign in here yet. Name the practice and its first owner; that is you. You invite the others afterwards."
    >
      <form
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          run(fields);
        }}
      >
        <TextField
          first
          label="Code"
          hint="Bathron printed it when it started, so that nobody else begins your practice"
          problem={at(problems, 'code')}
          value={fields.code}
          onValue={(code) => set({ code })}
        />
        <TextField
          label="Practice"
          problem={at(problems, 'practice')}
          value={fields.practice}
          onValue={(value) => set({ practice: value })}
        />
        <TextField
          label="Your name"
          autoComplete="name"
          problem={at(problems, 'name')}
          value={fields.name}
          onValue={(value) => set({ name: value })}
        />
        <TextField
          label="E-mail"
          type="email"
          autoComplete="username"
          problem={at(problems, 'email')}
          value={fields.email}
          onValue={(email) => set({ email })}
        />
        <SecretField
          label="Passphrase"
          fresh
          about={[fields.name, fields.email, fields.practice]}
          problem={at(problems, 'passphrase')}
          value={fields.passphrase}
          onValue={(passphrase) => set({ passphrase })}
        />
        <Problems problems={fieldless} />
        <button className="btn btn-primary btn-sm" disabled={busy}>
          Begin the practice
        </button>
      </form>
    </PlainPage>
  );
};
