import { AUDIT_KINDS, type AuditKind } from '@/core/access/audit';
import { may } from '@/core/access/roles';
import { auditOf } from '@/store/audit';
import { bookNames, practiceName } from '@/store/books';
import { waysIn } from '@/store/logins';
import { givenIn, personsOf, practiceReview, secondStepRoles } from '@/store/people';
import { mayIn, view } from '../kernel/action';
import { asking, choosesWho } from '../kernel/context';
import { mailWay } from '../kernel/mail';

/** Who belongs to the practice, and what each may do where. */
export const peopleView = () =>
  view('practice.see', async ({ tx, actor, now }) => ({
    practice: await practiceName(tx, actor.practice),
    me: actor.person,
    people: await personsOf(tx, actor.practice),
    given: (await givenIn(tx, actor.practice)).filter((one) => mayIn(actor, 'books.see', { id: one.books })),
    books: (await bookNames(tx, actor.practice)).filter((one) => mayIn(actor, 'books.see', one)),
    review: await practiceReview(tx, actor.practice),
    secondStep: await secondStepRoles(tx, actor.practice),
    ways: may(actor, 'people.change') ? await waysIn(tx, actor.practice, now) : [],
    mail: mailWay(),
    mayChange: may(actor, 'people.change'),
    maySeeAudit: may(actor, 'audit.see'),
  }));

/** Whom one may choose to be: only in the demo's data, and only at the machine that the server runs on. */
export const choiceView = async () => {
  const asks = await asking();
  return view('board.see', async ({ tx, actor }) => {
    const demo = await choosesWho(tx, asks, actor.practice);
    return {
      demo,
      me: actor.person,
      people: demo ? (await personsOf(tx, actor.practice)).filter(({ active }) => active) : [],
    };
  });
};

/** So many lines of the audit stand on a page. */
const PAGE = 100;

/** What was audited before a given line, the newest first. */
export const auditView = (before: number | undefined, kind: string | undefined) =>
  view('audit.see', async ({ tx, actor }) => {
    const asked: AuditKind | null = AUDIT_KINDS.find(({ id }) => id === kind)?.id ?? null;
    const lines = await auditOf(tx, actor.practice, before ?? null, asked, PAGE + 1);
    return {
      practice: await practiceName(tx, actor.practice),
      kind: asked,
      lines: lines.slice(0, PAGE),
      more: lines.length > PAGE ? (lines[PAGE - 1]?.id ?? null) : null,
      later: before !== undefined,
    };
  });
