'use client';

import { type Currency } from '@/core/money/currency';
import { type KeyboardEvent, useEffect, useRef } from 'react';
import type { Account } from '@/core/chart/account';
import {
  CLASSIFICATIONS,
  type AccountType,
  ROLE_IDS,
  classFacts,
  normalSide,
  roleFacts,
  typeOf,
} from '@/core/ledger/classes';
import type { ChartSheetColumn } from '@/core/chart/sheet';
import { type Part, rolesWith } from '@/core/company/parts';
import type { Leave } from '../sheet/state';

interface Props {
  readonly column: ChartSheetColumn;
  readonly account: Account;
  /** What was typed to begin; without it the cell's own text is edited. */
  readonly text: string | undefined;
  readonly base: Currency;
  readonly currencies: readonly Currency[];
  readonly parts: readonly Part[];
  /** The type that the heading above fixes. */
  readonly parentType: AccountType | undefined;
  readonly label: string;
  readonly onCancel: () => void;
  readonly onKeep: (text: string, leave: Leave) => void;
}

const leaving = (event: KeyboardEvent): Leave | undefined =>
  event.key === 'Enter'
    ? event.shiftKey
      ? 'up'
      : 'down'
    : event.key === 'Tab'
      ? event.shiftKey
        ? 'left'
        : 'right'
      : undefined;

/** A cell that is being edited: a text for code and name, a choice for the rest. Kept when it is left, put back by Esc. */
export const ChartCellEditor = ({
  column,
  account,
  text,
  base,
  currencies,
  parts,
  parentType,
  label,
  onCancel,
  onKeep,
}: Props) => {
  const field = useRef<HTMLInputElement & HTMLSelectElement>(null);
  const settled = useRef(false);
  const initial = text ?? (column === 'code' ? account.code : column === 'name' ? account.name : '');
  useEffect(() => {
    const node = field.current;
    node?.focus();
    if (text === undefined && node instanceof HTMLInputElement) node.select();
  }, [text]);
  const keep = (leave: Leave): void => {
    if (settled.current) return;
    settled.current = true;
    onKeep(field.current?.value ?? '', leave);
  };
  const common = {
    ref: field,
    'aria-label': label,
    onBlur: () => keep('stay'),
    onKeyDown: (event: KeyboardEvent) => {
      event.stopPropagation();
      if (event.key === 'Escape') {
        settled.current = true;
        onCancel();
        return;
      }
      const leave = leaving(event);
      if (leave === undefined) return;
      event.preventDefault();
      keep(leave);
    },
    className: 'h-[26px] w-full min-w-0 bg-paper px-1 outline-2 outline-madder',
  };
  if (column === 'code' || column === 'name')
    return <input {...common} type="text" autoComplete="off" defaultValue={initial} />;
  const options: readonly (readonly [value: string, says: string])[] =
    column === 'line'
      ? CLASSIFICATIONS.filter(({ type }) => parentType === undefined || type === parentType).map(({ id, one }) => [
          id,
          one,
        ])
      : column === 'side'
        ? [
            ['dr', `Debit${normalSide({ ...account, contra: false }) === 'credit' ? ' (contra)' : ''}`],
            ['cr', `Credit${normalSide({ ...account, contra: false }) === 'debit' ? ' (contra)' : ''}`],
          ]
        : column === 'currency'
          ? [base, ...currencies].map((code) => [code, code])
          : column === 'role'
            ? [
                ['', 'none'],
                ...ROLE_IDS.filter(
                  (id) =>
                    id === account.role ||
                    (roleFacts(id).types.includes(typeOf(account.classification)) && rolesWith(parts, [id]).length > 0),
                ).map((id): [string, string] => [id, roleFacts(id).label]),
              ]
            : [
                ['active', 'active'],
                ['inactive', 'inactive'],
              ];
  const stands =
    column === 'line'
      ? classFacts(account.classification).id
      : column === 'side'
        ? normalSide(account) === 'debit'
          ? 'dr'
          : 'cr'
        : column === 'currency'
          ? (account.currency ?? base)
          : column === 'role'
            ? (account.role ?? '')
            : account.active
              ? 'active'
              : 'inactive';
  return (
    <select {...common} defaultValue={stands}>
      {options.map(([value, says]) => (
        <option key={value} value={value}>
          {says}
        </option>
      ))}
    </select>
  );
};
