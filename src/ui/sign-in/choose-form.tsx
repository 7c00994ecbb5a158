'use client';

import { useState } from 'react';
import type { firstView, wayInView } from '@/actions/sign-in/views';
import { ROLE_FACTS } from '@/core/access/roles';
import type { Problem } from '@/core/base/result';
import { TextField } from '../parts/text-field';
import { PlainPage } from './plain-page';
import { SecretField } from './secret-field';
import { StepForm } from './step-form';
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
  const step = useStep('choose', ({ to }) => goTo(to));
  return (
    <PlainPage
      title={kind === 'invitation' ? `Welcome to ${practice}` : 'Another passphrase'}
      about={
        kind === 'invitation'
          ? `${name}, you take part as ${ROLE_FACTS[role].label.toLowerCase()}: ${ROLE_FACTS[role].means}. You sign in as ${email}.`
          : `${name}, you sign in as ${email} from now on with what you choose here. All your sessions end.`
      }
    >
      <StepForm step={step} given={{ token, passphrase }} button="Take it and sign in">
        <SecretField
          label="Passphrase"
          fresh
          about={[name, email, practice]}
          value={passphrase}
          onValue={setPassphrase}
        />
      </StepForm>
    </PlainPage>
  );
};

/** The first start: the practice and its first owner are named, by whoever can read what the server printed. */
export const FirstForm = ({ practice, name }: NonNullable<Awaited<ReturnType<typeof firstView>>>) => {
  const [fields, setFields] = useState({ code: '', practice, name, email: '', passphrase: '' });
  const step = useStep('begin', ({ to }) => goTo(to));
  const set = (part: Partial<typeof fields>): void => setFields((was) => ({ ...was, ...part }));
  const fieldless = step.problems.filter(({ path }) => !Object.hasOwn(fields, String(path?.[0])));
  return (
    <PlainPage
      title="The first start"
      about="Nobody can sign in here yet. Name the practice and its first owner; that is you. You invite the others afterwards."
    >
      <StepForm step={step} given={fields} button="Begin the practice" problems={fieldless}>
        <TextField
          first
          label="Code"
          hint="Bathron printed it when it started, so that nobody else begins your practice"
          problem={at(step.problems, 'code')}
          value={fields.code}
          onValue={(code) => set({ code })}
        />
        <TextField
          label="Practice"
          problem={at(step.problems, 'practice')}
          value={fields.practice}
          onValue={(value) => set({ practice: value })}
        />
        <TextField
          label="Your name"
          autoComplete="name"
          problem={at(step.problems, 'name')}
          value={fields.name}
          onValue={(value) => set({ name: value })}
        />
        <TextField
          label="E-mail"
          type="email"
          autoComplete="username"
          problem={at(step.problems, 'email')}
          value={fields.email}
          onValue={(email) => set({ email })}
        />
        <SecretField
          label="Passphrase"
          fresh
          about={[fields.name, fields.email, fields.practice]}
          problem={at(step.problems, 'passphrase')}
          value={fields.passphrase}
          onValue={(passphrase) => set({ passphrase })}
        />
      </StepForm>
    </PlainPage>
  );
};
