'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import { TextField } from '../parts/text-field';
import { SecretField } from './secret-field';
import { StepForm } from './step-form';
import { useStep } from './use-step';
import { useRefresh } from '../parts/use-refresh';

interface Begun {
  readonly picture: string;
  readonly letters: string;
  readonly recovery: readonly string[];
}

/** Codes of a device as a second step: set up, removed, and the codes for when the device is lost. */
export const SecondStepPart = ({ on }: { readonly on: boolean }) => {
  const refresh = useRefresh();
  const [current, setCurrent] = useState('');
  const [begun, setBegun] = useState<Begun | undefined>();
  const [recovery, setRecovery] = useState<readonly string[]>([]);
  const begin = useStep('second-step', setBegun);
  const drop = useStep('no-second-step', () => {
    toast('The second step is gone');
    setCurrent('');
    setRecovery([]);
    refresh();
  });
  const codes = useStep('recovery-codes', (made) => setRecovery(made.recovery));
  const finish = (): void => {
    toast('The second step is asked for from the next sign-in on');
    setRecovery(begun?.recovery ?? []);
    setBegun(undefined);
    setCurrent('');
    refresh();
  };
  return (
    <section aria-labelledby="second-step" className="space-y-2">
      <h2 id="second-step" className="title text-lg">
        Second step
      </h2>
      <p className="text-sm">
        {on
          ? 'You sign in with your passphrase and a code of your device.'
          : 'Whoever finds out your passphrase is in. With a second step they would need your device too.'}
      </p>
      {recovery.length > 0 && <Recovery codes={recovery} />}
      {begun === undefined ? (
        <StepForm
          step={{ ...(on ? codes : begin), problems: [...begin.problems, ...drop.problems, ...codes.problems] }}
          given={{ current }}
          button={on ? 'Make other recovery codes' : 'Set it up'}
          plain={on}
          label="second-step"
          beside={
            on && (
              <button type="button" className="btn btn-sm" disabled={drop.busy} onClick={() => drop.run({ current })}>
                Remove it
              </button>
            )
          }
        >
          <SecretField label="Your passphrase" value={current} onValue={setCurrent} />
        </StepForm>
      ) : (
        <SetUp begun={begun} onDone={finish} />
      )}
    </section>
  );
};

const SetUp = ({ begun: { picture, letters }, onDone }: { readonly begun: Begun; readonly onDone: () => void }) => {
  const [code, setCode] = useState('');
  const step = useStep('second-step-code', onDone);
  return (
    <StepForm step={step} given={{ code }} button="It shows this">
      <p className="text-sm">Let the program for codes on your device take this picture, or type the letters:</p>
      <img src={`data:image/svg+xml,${encodeURIComponent(picture)}`} alt="For the program on your device" width={180} />
      <p className="font-mono text-sm break-all">{letters}</p>
      <TextField label="Code that it shows" autoComplete="one-time-code" value={code} onValue={setCode} />
    </StepForm>
  );
};

const Recovery = ({ codes }: { readonly codes: readonly string[] }) => (
  <div role="note" className="border-l-4 border-ochre bg-paper-2 px-3 py-2">
    <p className="text-sm">
      Recovery codes, for when the device is lost. Each works once. They are shown now and never again: print them, or
      write them down, and keep them away from the device.
    </p>
    <ul aria-label="Recovery codes" className="mt-1 grid grid-cols-2 gap-x-4 font-mono text-sm">
      {codes.map((code) => (
        <li key={code}>{code}</li>
      ))}
    </ul>
  </div>
);
