'use client';

import { useRouter } from 'next/navigation';
import { useId } from 'react';
import type { changesView } from '@/actions/changes/views';
import { STAGES } from '@/core/proof/stage-ids';
import { DateInput } from '../parts/date-input';
import { Go } from '../parts/go';
import { Picker } from '../parts/picker';
import { useZone } from '../parts/when';

type View = NonNullable<Awaited<ReturnType<typeof changesView>>>;
type Asked = View['asked'];

/** The address of what is asked for, without what is not. */
export const changesAddress = (books: number, asked: Asked, at = 'changes'): string => {
  const said = Object.entries(asked).flatMap(([key, value]) => (value === undefined ? [] : [[key, String(value)]]));
  const query = new URLSearchParams(said).toString();
  return `/books/${String(books)}/${at}${query === '' ? '' : `?${query}`}`;
};

/** Whether only some of the changes are asked for. */
export const isFiltered = ({ stage, person, account, from, to }: Asked): boolean =>
  [stage, person, account, from, to].some((one) => one !== undefined);

/** Which changes are shown: of a stage, by somebody, of an account, of some days of the reader's own time. */
export const ChangesFilter = ({
  frame,
  asked,
  people,
  accounts,
}: Pick<View, 'frame' | 'asked' | 'people' | 'accounts'>) => {
  const router = useRouter();
  const zone = useZone();
  const account = useId();
  const ask = (change: Partial<Asked>): void => {
    const next = { ...asked, ...change, before: undefined };
    const dated = next.from !== undefined || next.to !== undefined;
    router.push(changesAddress(frame.id, { ...next, zone: dated ? zone : undefined }));
  };
  return (
    <form
      role="search"
      aria-label="Which changes"
      className="no-print flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-hairline px-4 pb-2.5 text-sm"
      onSubmit={(event) => event.preventDefault()}
    >
      <label>
        <span className="block text-xs text-ink-2">Stage</span>
        <select
          value={asked.stage ?? ''}
          className="select select-sm w-40"
          onChange={({ target: { value } }) => ask({ stage: STAGES.find(({ id }) => id === value)?.id })}
        >
          <option value="">every stage</option>
          {STAGES.filter(({ id }) => id !== 'proof' && id !== 'sign-off').map(({ id, label }) => (
            <option key={id} value={id}>
              {label}
            </option>
          ))}
        </select>
      </label>
      <label>
        <span className="block text-xs text-ink-2">By</span>
        <select
          value={asked.person === undefined ? '' : String(asked.person)}
          className="select select-sm w-40"
          onChange={({ target: { value } }) => ask({ person: value === '' ? undefined : Number(value) })}
        >
          <option value="">everybody</option>
          {people.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <div className="w-56">
        <label htmlFor={account} className="block text-xs text-ink-2">
          Account
        </label>
        <Picker
          id={account}
          placeholder="every account"
          choices={accounts.map(({ id, code, name }) => ({ key: String(id), code, name }))}
          chosen={asked.account === undefined ? '' : String(asked.account)}
          onChoose={(key) => ask({ account: Number(key) })}
        />
      </div>
      {(['from', 'to'] as const).map((end) => (
        <label key={end}>
          <span className="block text-xs text-ink-2">{end === 'from' ? 'From' : 'To'}</span>
          <DateInput
            value={asked[end] ?? ''}
            dates={frame.dates}
            aria-label={end === 'from' ? 'From' : 'To'}
            className="input input-sm w-32"
            onDate={(iso) => ask({ [end]: iso === '' ? undefined : iso })}
          />
        </label>
      ))}
      {isFiltered(asked) && (
        <Go className="link pb-1" href={changesAddress(frame.id, {})}>
          All changes
        </Go>
      )}
    </form>
  );
};
