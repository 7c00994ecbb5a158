'use client';

import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { FrameView } from '@/actions/frame/views';
import { addStarterTaxCodes } from '@/actions/chart/tax-codes';
import { type Account, type AccountId, called } from '@/core/chart/account';
import type { ProposedTaxAccounts } from '@/core/chart/tax-accounts';
import { type TaxCode, directionFacts, rateOn } from '@/core/chart/tax-codes';
import { type Problem, plural } from '@/core/base/result';
import { Field } from '../parts/field';
import { day } from '../parts/names';
import { Picker } from '../parts/picker';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { ChartFrame } from './chart-frame';
import { accountChoices } from './account-choices';
import { TaxForm } from './tax-form';
import { useRefresh } from '../parts/use-refresh';

interface Props {
  readonly frame: FrameView;
  readonly country: string;
  /** First day of the first fiscal year, from which proposed rates count. */
  readonly firstDay: string;
  readonly codes: readonly TaxCode[];
  /** Accounts that have the role for sales tax. */
  readonly accounts: readonly Account[];
  readonly proposed: ProposedTaxAccounts;
}

/** Tax codes with their rates by date and the accounts they post to. */
export const TaxPage = ({ frame, country, firstDay, codes, accounts, proposed }: Props) => {
  const [chosen, setChosen] = useState<number | 'new' | undefined>(codes[0]?.id);
  const current = codes.find(({ id }) => id === chosen);
  const name = (id: AccountId | null): string => {
    const account = accounts.find((one) => one.id === id);
    return account === undefined ? '' : called(account);
  };
  return (
    <ChartFrame
      frame={frame}
      place="/tax"
      title="Tax codes"
      about={codes.length === 0 ? 'none yet' : plural(codes.length, 'code')}
      actions={
        <button type="button" className="btn btn-sm" onClick={() => setChosen('new')}>
          Add a code
        </button>
      }
      margin={
        chosen === 'new' || current !== undefined ? (
          <TaxForm
            key={String(chosen)}
            frame={frame}
            code={current}
            firstDay={firstDay}
            accounts={accounts}
            proposed={proposed}
            onSaved={setChosen}
          />
        ) : (
          <p className="note">Choose a code to see and change it.</p>
        )
      }
    >
      <div className="px-4 py-3">
        {codes.length > 0 && (
          <table className="ledger w-full">
            <thead>
              <tr>
                <th scope="col" className="text-left">
                  Code
                </th>
                <th scope="col" className="text-left">
                  Name
                </th>
                <th scope="col" className="text-left max-md:hidden">
                  What it does
                </th>
                <th scope="col" className="figure">
                  Rate at {day(frame.cutover, frame.dates)}
                </th>
                <th scope="col" className="text-left max-lg:hidden">
                  Charged to
                </th>
                <th scope="col" className="text-left max-lg:hidden">
                  Recoverable on
                </th>
              </tr>
            </thead>
            <tbody>
              {codes.map((code) => (
                <tr key={code.id} className={code.id === chosen ? 'bg-madder-wash' : ''}>
                  <td>
                    <button type="button" className="font-medium underline" onClick={() => setChosen(code.id)}>
                      {code.code}
                    </button>
                  </td>
                  <td className={code.active ? '' : 'italic text-ink-2'}>
                    {code.name}
                    {code.active ? '' : ', inactive'}
                  </td>
                  <td className="text-ink-2 max-md:hidden">{directionFacts(code.direction).label}</td>
                  <td className="figure">
                    {code.rates.length === 0 ? '' : `${rateOn(code, frame.cutover) ?? 'none yet'} %`}
                  </td>
                  <td className="text-ink-2 max-lg:hidden">{name(code.charged)}</td>
                  <td className="text-ink-2 max-lg:hidden">{name(code.recoverable)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <Starter
          frame={frame}
          country={country}
          firstDay={firstDay}
          accounts={accounts}
          proposed={proposed}
          some={codes.length > 0}
        />
      </div>
    </ChartFrame>
  );
};

/** The starter set of the country; rates are proposals and can be changed one by one. */
const Starter = ({
  frame,
  country,
  firstDay,
  accounts,
  proposed,
  some,
}: Omit<Props, 'codes'> & { readonly some: boolean }) => {
  const refresh = useRefresh();
  const choices = useMemo(() => accountChoices(accounts), [accounts]);
  const [charged, setCharged] = useState(String(proposed.charged ?? ''));
  const [recoverable, setRecoverable] = useState(String(proposed.recoverable ?? ''));
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const add = async (): Promise<void> => {
    const done = await send(
      addStarterTaxCodes({
        books: frame.id,
        from: firstDay,
        charged: Number(charged),
        recoverable: Number(recoverable),
      }),
    );
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`${plural(done.value.added, 'tax code')} added`);
    refresh();
  };
  return (
    <section aria-labelledby="starter-codes" className="mt-5 max-w-xl text-sm">
      <h2 id="starter-codes" className="title mb-1 text-lg">
        {some ? 'Add what is missing of the starter set' : 'Begin with the starter set'}
      </h2>
      {accounts.length === 0 ? (
        <p>No account has the role Sales tax yet. Give it to the account on which sales tax is owed, on the sheet.</p>
      ) : (
        <>
          <p className="note mb-2">
            Codes for sales, purchases and services from abroad with the rates proposed for {country}, from{' '}
            {day(firstDay, frame.dates)}. Check the rates; each can be changed.
          </p>
          <Problems problems={problems} />
          <div className="flex flex-wrap items-end gap-2">
            <Field label="Tax charged is owed on">
              {(ids) => <Picker {...ids} choices={choices} chosen={charged} onChoose={setCharged} />}
            </Field>
            <Field label="Tax paid is claimed on">
              {(ids) => <Picker {...ids} choices={choices} chosen={recoverable} onChoose={setRecoverable} />}
            </Field>
            <button
              type="button"
              className="btn btn-sm mb-1"
              disabled={charged === '' || recoverable === ''}
              onClick={() => void add()}
            >
              Add the set
            </button>
          </div>
        </>
      )}
    </section>
  );
};
