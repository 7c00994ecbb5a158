'use client';

import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { keepAttachment } from '@/actions/evidence/commands';
import { shownPaper } from '@/actions/evidence/shown';
import type { ShownPaper } from '@/actions/evidence/views';
import type { Problem } from '@/core/base/result';
import type { ShownEmail } from '@/core/files/email';

import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { size } from '../papers/size';
import { useMoment } from '../parts/when';

// What draws pages is fetched when there is a page to draw.
const PdfPages = dynamic(() => import('./pdf-pages').then((found) => found.PdfPages), { ssr: false });

const NOT_THERE: readonly Problem[] = [
  { code: 'paper.unknown', message: 'This paper could not be shown. Load the page again.' },
];

/** A paper as it is: drawn, shown or quoted, with nothing of it run and nothing fetched that it names. */
export const ShownPaperPart = ({
  books,
  paper,
  named = false,
}: {
  readonly books: number;
  readonly paper: number;
  /** Whether the page says already what it is called. */
  readonly named?: boolean;
}) => {
  const [shown, setShown] = useState<ShownPaper | undefined>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  useEffect(() => {
    let gone = false;
    shownPaper({ books, paper })
      .then((found) => {
        if (gone) return;
        setShown(found?.ok === true ? found.value : undefined);
        setProblems(found === undefined ? NOT_THERE : found.ok ? [] : found.problems);
      })
      .catch(() => {
        if (!gone) setProblems(NOT_THERE);
      });
    return () => {
      gone = true;
    };
  }, [books, paper]);
  const at = `/books/${String(books)}/papers/${String(paper)}`;
  return (
    <div className="flex min-w-0 flex-col gap-2">
      <Problems problems={problems} />
      {shown === undefined ? (
        problems.length === 0 && <p role="status">Fetching the paper …</p>
      ) : (
        <>
          {!named && <h2 className="title text-base break-words">{shown.name}</h2>}
          <Content books={books} at={at} shown={shown} />
          <p className="text-sm">
            <a className="link" href={`${at}/file`}>
              Save it as it was brought
            </a>
          </p>
        </>
      )}
    </div>
  );
};

const Content = ({ books, at, shown }: { readonly books: number; readonly at: string; readonly shown: ShownPaper }) => {
  switch (shown.as) {
    case 'pdf':
      return <PdfPages address={`${at}/file`} name={shown.name} />;
    case 'picture':
      return <Picture address={`${at}/show`} name={shown.name} />;
    case 'email':
      return <Message books={books} paper={shown.id} email={shown.email} />;
    case 'text':
      return (
        <>
          <Quoted text={shown.text} />
          {shown.cut && <Cut />}
        </>
      );
    case 'file':
      return <p>A file of this kind is kept and given out as it is, but not shown here.</p>;
  }
};

const Cut = () => <p className="note">It goes on; the whole of it is in the file.</p>;

const Quoted = ({ text }: { readonly text: string }) => (
  <pre className="overflow-x-auto border border-rule bg-paper p-3 text-sm whitespace-pre-wrap">{text}</pre>
);

const Picture = ({ address, name }: { readonly address: string; readonly name: string }) => {
  const [damaged, setDamaged] = useState(false);
  return damaged ? (
    <p className="text-ochre">This picture is damaged, so it cannot be shown. It is kept as it was brought.</p>
  ) : (
    // A client's paper is shown as it is, not made smaller by the server.
    <img
      src={address}
      alt={name}
      className="h-auto max-w-full self-start border border-rule"
      onError={() => setDamaged(true)}
    />
  );
};

const Message = ({
  books,
  paper,
  email,
}: {
  readonly books: number;
  readonly paper: number;
  readonly email: ShownEmail;
}) => {
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const moment = useMoment();
  const keep = async (place: number, name: string): Promise<void> => {
    const done = await send(keepAttachment({ books, paper, at: place }));
    setProblems(done.ok ? [] : done.problems);
    if (done.ok) toast(done.value.known ? `${name} is a paper of these books already` : `${name} is a paper now`);
  };
  const head: readonly (readonly [string, string])[] = [
    ['From', email.from],
    ['To', email.to],
    ['Subject', email.subject],
    ['Sent', email.date === '' ? '' : Number.isNaN(Date.parse(email.date)) ? email.date : moment(email.date)],
  ];
  return (
    <>
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5 text-sm">
        {head
          .filter(([, value]) => value !== '')
          .map(([label, value]) => (
            <div key={label} className="contents">
              <dt className="text-ink-2">{label}</dt>
              <dd className="break-words">{value}</dd>
            </div>
          ))}
      </dl>
      <Quoted text={email.text === '' ? 'The message has no words.' : email.text} />
      {email.cut && <Cut />}
      <Problems problems={problems} />
      {email.attachments.length > 0 && (
        <>
          <h3 className="text-sm font-semibold text-ink-2">Attached to it</h3>
          <ul className="text-sm">
            {email.attachments.map(({ name, bytes }, place) => (
              <li key={place} className="flex items-center gap-2 py-0.5">
                <span className="min-w-0 flex-1 truncate" title={name}>
                  {name} <span className="text-ink-2">{size(bytes)}</span>
                </span>
                <button type="button" className="btn btn-xs" onClick={() => void keep(place, name)}>
                  Keep as a paper
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
};
