'use client';

import { Command } from 'cmdk';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { StageState } from '@/core/proof/stages';
import { askForAccount } from './account-asked';
import { stageHref } from './stage-href';

interface FoundAccount {
  readonly id: number;
  readonly code: string;
  readonly name: string;
}

const STATEMENTS = [
  ['trial-balance', 'Trial balance'],
  ['balance-sheet', 'Balance sheet'],
  ['income-statement', 'Income statement'],
  ['journal', 'Journal'],
] as const;

/** Pages within the stages that somebody looks for by name. */
const WITHIN = [
  ['chart/roles', 'Roles'],
  ['chart/money', 'Bank, cash and card accounts'],
  ['chart/tidy', 'Tidying the chart'],
  ['chart/begin', 'Accounts from answers'],
  ['chart/copy', 'Copy a chart'],
  ['chart/import', 'Import a list of accounts'],
  ['openings/why', 'Why debits and credits differ'],
] as const;

const EVERYWHERE: readonly (readonly [string, string])[] = [
  ['Ctrl K', 'find a place or an account'],
  ['F6', 'go to the sheet of the page, or to what it asks first'],
  ['?', 'show these keys'],
  ['Esc', 'close, or leave a cell as it was'],
];

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/** The command list (Ctrl+K) and the keys of the page (?). Accounts are fetched when the list is first opened. */
export const Commands = ({
  books,
  keys,
  stages,
}: {
  readonly books: number;
  readonly stages: readonly StageState[];
  readonly keys: readonly (readonly [string, string])[];
}) => {
  const router = useRouter();
  const help = useRef<HTMLDialogElement>(null);
  const [open, setOpen] = useState(false);
  const [accounts, setAccounts] = useState<readonly FoundAccount[]>([]);

  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        setOpen((was) => !was);
      } else if (event.key === '?' && !isTyping(event.target)) {
        event.preventDefault();
        help.current?.showModal();
      }
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, []);

  useEffect(() => {
    if (!open) return;
    const fetching = new AbortController();
    fetch(`/books/${String(books)}/accounts`, { signal: fetching.signal })
      .then((response) => (response.ok ? (response.json() as Promise<readonly FoundAccount[]>) : []))
      .then(setAccounts)
      // The stages can be reached without the accounts; opening the list again asks again.
      .catch(() => setAccounts([]));
    return () => fetching.abort();
  }, [open, books]);

  const go = (href: string): void => {
    setOpen(false);
    router.push(href);
  };
  const goToAccount = (account: number): void => {
    const sheet = `/books/${String(books)}/openings`;
    if (location.pathname !== sheet) {
      go(`${sheet}?account=${String(account)}`);
      return;
    }
    setOpen(false);
    // After the list has given the focus back to where it came from.
    setTimeout(() => askForAccount(account), 20);
  };
  return (
    <>
      <button type="button" className="btn btn-ghost btn-xs" onClick={() => setOpen(true)}>
        <kbd className="kbd kbd-sm max-md:hidden pointer-coarse:hidden">Ctrl K</kbd> find
      </button>
      <button
        type="button"
        className="btn btn-ghost btn-xs max-md:hidden pointer-coarse:hidden"
        onClick={() => help.current?.showModal()}
      >
        <kbd className="kbd kbd-sm">?</kbd> keys
      </button>
      <Command.Dialog
        open={open}
        onOpenChange={setOpen}
        label="Find a place or an account"
        overlayClassName="fixed inset-0 z-40 bg-ink/30"
        contentClassName="fixed inset-x-0 top-[12vh] z-50 mx-auto w-[min(36rem,94vw)] border border-rule bg-paper"
      >
        <Command.Input
          autoFocus
          placeholder="A place, an account code or name"
          className="w-full border-b border-rule bg-paper px-4 py-3 outline-none"
        />
        <Command.List className="max-h-[50vh] overflow-y-auto p-1 text-sm">
          <Command.Empty className="note px-3 py-4">Nothing by that name.</Command.Empty>
          <Command.Group
            heading="Places"
            className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:text-xs [&_[cmdk-group-heading]]:text-ink-2"
          >
            {stages.map((stage) => (
              <Item key={stage.id} go={() => go(stageHref(books, stage.id))} name={stage.label} />
            ))}
            <Item go={() => go(`/books/${String(books)}/papers`)} name="Papers" />
            <Item go={() => go(`/books/${String(books)}/changes`)} name="Changes" />
            {WITHIN.map(([at, label]) => (
              <Item key={at} go={() => go(`/books/${String(books)}/${at}`)} name={label} />
            ))}
            {STATEMENTS.map(([kind, label]) => (
              <Item key={kind} go={() => go(`/books/${String(books)}/statements/${kind}`)} name={label} />
            ))}
            <Item go={() => go('/')} name="All books of the practice" />
            <Item go={() => go('/new')} name="New books" />
          </Command.Group>
          <Command.Group
            heading="Accounts"
            className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:text-xs [&_[cmdk-group-heading]]:text-ink-2"
          >
            {accounts.map((account) => (
              <Item key={account.id} go={() => goToAccount(account.id)} name={`${account.code} ${account.name}`} />
            ))}
          </Command.Group>
        </Command.List>
      </Command.Dialog>
      <dialog
        ref={help}
        aria-label="Keys"
        className="m-auto border border-rule bg-paper p-5 text-ink backdrop:bg-ink/30"
      >
        <h2 className="title mb-3 text-lg">Keys on this page</h2>
        <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5 text-sm">
          {[...keys, ...EVERYWHERE].map(([key, says]) => (
            <div key={key} className="contents">
              <dt>
                <kbd className="kbd kbd-sm">{key}</kbd>
              </dt>
              <dd>{says}</dd>
            </div>
          ))}
        </dl>
        <form method="dialog" className="mt-4 text-right">
          <button className="btn btn-sm">Close</button>
        </form>
      </dialog>
    </>
  );
};

/** The name is given as a value too: an item that comes while something is typed is not in the page yet to be read. */
const Item = ({ go, name }: { readonly go: () => void; readonly name: string }) => (
  <Command.Item value={name} onSelect={go} className="cursor-pointer px-3 py-1.5 aria-selected:bg-madder-wash">
    {name}
  </Command.Item>
);
