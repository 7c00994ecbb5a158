'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { compareView } from '@/actions/openings/views';
import { plural } from '@/core/base/result';
import { totalsOf } from '@/core/ledger/level';
import { Frame, MarginPart } from '../frame/frame';
import { figure } from '../parts/figures';
import { Go } from '../parts/go';

import { SaveAs } from '../parts/save-as';
import { When } from '../parts/when';

type View = NonNullable<Awaited<ReturnType<typeof compareView>>>;

/** Two versions of the opening balances beside each other: old, new, what posting the new one adds, and why. */
export const ComparePage = ({ frame, versions, from, to, rows }: View) => {
  const router = useRouter();
  const [all, setAll] = useState(false);
  const base = `/books/${String(frame.id)}/openings`;
  if (from === null || to === null || versions.length < 2)
    return (
      <Frame frame={frame} stage="openings" title="Versions compared">
        <p className="max-w-prose px-4">
          There is one version of the opening balances so far. When a correction is opened under{' '}
          <Go className="link" href={`/books/${String(frame.id)}/sign-off`}>
            Sign-off
          </Go>
          , it stands here beside the version before it.
        </p>
      </Frame>
    );
  const changed = rows.filter(({ difference }) => difference !== 0n);
  const shown = all ? rows : changed;
  const differences = totalsOf(changed.map(({ difference }) => difference));
  const address = (versionFrom: number, versionTo: number): string =>
    `${base}/compare?from=${String(versionFrom)}&to=${String(versionTo)}`;
  const choose = (label: string, chosen: number, onChoose: (version: number) => void) => (
    <label className="flex items-center gap-2 text-sm">
      {label}
      <select className="select select-xs" value={chosen} onChange={(event) => onChoose(Number(event.target.value))}>
        {versions.map(({ version, state }) => (
          <option key={version} value={version}>
            version {version}, {state}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <Frame
      frame={frame}
      stage="openings"
      title="Versions compared"
      about={`${plural(changed.length, 'account')} ${changed.length === 1 ? 'differs' : 'differ'} of ${String(rows.length)}`}
      actions={
        <Go href={base} className="btn btn-sm">
          Opening balances
        </Go>
      }
      margin={
        <MarginPart title="Versions">
          <ol className="space-y-1">
            {versions.map((one) => (
              <li key={one.id}>
                Version {one.version}, {one.state}
                <span className="note block">
                  {one.reason ?? 'the first'} · <When at={one.at} />
                </span>
              </li>
            ))}
          </ol>
        </MarginPart>
      }
    >
      <div className="px-4 pb-6">
        <div className="no-print mb-2 flex flex-wrap items-center gap-x-5 gap-y-2">
          {choose('Old', from.version, (version) => router.push(address(version, to.version)))}
          {choose('New', to.version, (version) => router.push(address(from.version, version)))}
          <label className="flex items-center gap-2 text-sm">
            <input type="checkbox" className="checkbox checkbox-xs" checked={all} onChange={() => setAll(!all)} />
            also what stayed the same
          </label>
          <SaveAs
            label="Save as"
            href={`${base}/compare/export?from=${String(from.version)}&to=${String(to.version)}`}
          />
        </div>
        {shown.length === 0 ? (
          <p>The two versions have the same figures.</p>
        ) : (
          <div className="overflow-x-auto">
            <table className="ledger">
              <thead>
                <tr>
                  <th scope="col" rowSpan={2}>
                    Code
                  </th>
                  <th scope="col" rowSpan={2}>
                    Account
                  </th>
                  <th scope="colgroup" colSpan={2} className="text-center">
                    Version {from.version}
                  </th>
                  <th scope="colgroup" colSpan={2} className="text-center">
                    Version {to.version}
                  </th>
                  <th scope="colgroup" colSpan={2} className="text-center">
                    Difference
                  </th>
                  <th scope="col" rowSpan={2}>
                    Why
                  </th>
                </tr>
                <tr>
                  {['old', 'new', 'difference'].flatMap((of) =>
                    ['Debit', 'Credit'].map((side) => (
                      <th key={`${of} ${side}`} scope="col" className="figure">
                        {side}
                      </th>
                    )),
                  )}
                </tr>
              </thead>
              <tbody>
                {shown.map(({ account, from: was, to: is, difference, why }) => (
                  <tr key={account.id}>
                    <td className="text-ink-2">{account.code}</td>
                    <td>
                      <Go className="link" href={`${base}?account=${String(account.id)}`}>
                        {account.name}
                      </Go>
                    </td>
                    {[was, is, difference].flatMap((amount, at) => [
                      <td key={`${String(at)}d`} className="figure">
                        {amount > 0n ? figure(amount, frame) : ''}
                      </td>,
                      <td key={`${String(at)}c`} className="figure">
                        {amount < 0n ? figure(amount, frame) : ''}
                      </td>,
                    ])}
                    <td className="note">{difference === 0n ? '' : why}</td>
                  </tr>
                ))}
                <tr className="final">
                  <td />
                  <td className="font-semibold">Differences</td>
                  <td colSpan={4} />
                  <td className="figure">{figure(differences.debits, frame)}</td>
                  <td className="figure">{figure(differences.credits, frame)}</td>
                  <td />
                </tr>
              </tbody>
            </table>
          </div>
        )}
      </div>
    </Frame>
  );
};
