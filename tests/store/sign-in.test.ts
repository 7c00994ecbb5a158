import { createHook } from 'node:async_hooks';
import { mkdtempSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { boardView } from '@/actions/books/views';
import { removeBooks } from '@/actions/books/commands';
import { actAs, askedBy, useDatabase } from '@/actions/kernel/context';
import { CLIENT, firstCode, sessionIn } from '@/actions/kernel/sign-in';
import { addPerson, changePerson, demandSecondStep } from '@/actions/people/commands';
import { sendWayIn } from '@/actions/people/help';
import { auditView, peopleView } from '@/actions/people/views';
import type { Answered, Asked } from '@/actions/sign-in/asked';
import { SIGN_IN_STEPS, type SignInStep } from '@/actions/sign-in/steps';
import { accountView, mailboxView, signInView } from '@/actions/sign-in/views';
import type { Role } from '@/core/access/roles';
import { personId } from '@/core/base/ids';
import { readSecret } from '@/store/secret';
import { codeOf } from '../device-code';
import { codesOf, newBooks, refused, valueOf, withDatabase } from './support';

const database = withDatabase();
const PASSPHRASE = 'limpet orbit candle forty';
const OTHER = 'saucer meadow thirteen rudder';

/** A browser: it keeps the cookies that it is given. */
class Browser {
  readonly cookies = new Map<string, string>();
  set: readonly string[] = [];
  constructor(readonly client = '198.51.100.7') {}
  get asked(): Asked {
    const cookie = [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; ');
    const headers = new Headers({ cookie, 'user-agent': 'Firefox on Linux', [CLIENT]: this.client });
    return { headers, client: this.client, origin: 'https://books.example' };
  }
  async send(step: SignInStep, given: object): Promise<Answered['result']> {
    const { result, cookies } = await SIGN_IN_STEPS[step](given, this.asked);
    this.set = cookies;
    for (const one of cookies) {
      const [pair = ''] = one.split(';');
      const at = pair.indexOf('=');
      if (/max-age=0/i.test(one)) this.cookies.delete(pair.slice(0, at));
      else this.cookies.set(pair.slice(0, at), pair.slice(at + 1));
    }
    return result;
  }
  /** Asks for pages from now on. */
  async looks(): Promise<void> {
    const found = await sessionIn(this.asked.headers);
    askedBy(() => Promise.resolve({ ...found, here: false, origin: 'https://books.example' }));
  }
}

const tokenIn = (link: string): string => link.split('/').at(-1) ?? '';
let count = 0;
/** Somebody who was invited and has accepted. */
const joined = async (role: Role): Promise<{ id: number; email: string; browser: Browser }> => {
  count += 1;
  const email = `person${String(count)}@wrack.example`;
  askedBy(undefined);
  const { id } = valueOf(await addPerson({ name: `Somebody ${String(count)}`, email, role, charts: true }));
  const { link } = valueOf(await sendWayIn({ person: id }));
  const browser = new Browser(`203.0.113.${String(count)}`);
  expect(await browser.send('choose', { token: tokenIn(link), passphrase: PASSPHRASE })).toEqual({
    ok: true,
    value: { to: '/' },
  });
  return { id, email, browser };
};
const passphraseOf = (email: string, passphrase = PASSPHRASE) => ({ email, passphrase });

beforeAll(() => {
  process.env.BATHRON_SECRET = 'a secret of the tests that is long enough';
});
afterAll(() => {
  delete process.env.BATHRON_SECRET;
});
// The owner who is there as the data is made acts where nobody asks.
beforeEach(() => actAs(undefined));
afterEach(() => {
  askedBy(undefined);
  vi.useRealTimers();
});

describe('the first start', () => {
  it('is for whoever knows the code that was printed, once, with a passphrase that is not guessed', async () => {
    expect((await signInView()).first).toBe(true);
    const browser = new Browser();
    const given = {
      code: firstCode().toLowerCase().replaceAll('-', ' '),
      practice: 'Wrack & Tide Bookkeeping',
      name: 'Ines Halloran',
      email: 'Ines@Wrack.example',
      passphrase: PASSPHRASE,
    };
    expect(codesOf(await browser.send('begin', { ...given, code: 'AAAA-BBBB-CCCC' }))).toEqual(['first.code']);
    for (const [passphrase, code] of [
      ['short', 'passphrase.short'],
      ['halloran orbit candle', 'passphrase.told'],
      ['bookkeeping orbit candle', 'passphrase.told'],
      ['password1234', 'passphrase.weak'],
      ['qwertyuiop12', 'passphrase.weak'],
      ['x'.repeat(200), 'passphrase.long'],
    ] as const)
      expect(codesOf(await browser.send('begin', { ...given, passphrase })), passphrase).toEqual([code]);
    expect(await browser.send('begin', given)).toEqual({ ok: true, value: { to: '/' } });
    await browser.looks();
    expect((await boardView()).practice).toBe('Wrack & Tide Bookkeeping');
    expect((await boardView()).who.name).toBe('Ines Halloran');
    expect(codesOf(await new Browser().send('begin', given))).toEqual(['first.done']);
  });

  it('keeps its secret beside the data, for its owner only, the same for all processes', () => {
    const directory = mkdtempSync(join(tmpdir(), 'secret-'));
    const secret = readSecret(directory, undefined);
    expect(secret.length).toBeGreaterThan(40);
    expect(readSecret(directory, '')).toBe(secret);
    expect(statSync(join(directory, 'secret')).mode & 0o777).toBe(0o600);
    expect(() => readSecret(directory, 'short')).toThrow(/at least 32/);
  });
});

describe('signing in', () => {
  it('says the same of an address that nobody has and of a wrong passphrase, and writes both down', async () => {
    const { email } = await joined('preparer');
    const answers = [];
    for (const given of [passphraseOf('nobody@else.example'), passphraseOf(email, OTHER), { email, passphrase: 7 }])
      answers.push(await new Browser().send('enter', given));
    expect(new Set(answers.map((one) => JSON.stringify(one))).size).toBe(1);
    expect(codesOf(answers[0] ?? { ok: true, value: null })).toEqual(['sign-in.wrong']);
    actAs(undefined);
    const told = (await auditView(undefined, 'sign-in')).lines.filter(({ about }) => about.startsWith('Address'));
    expect(told.map(({ by }) => by === null)).toEqual(expect.arrayContaining([true, false]));
  });

  it('hashes a passphrase once whether somebody has the address or not, so that the time does not tell', async () => {
    const { email } = await joined('preparer');
    // The clock of a busy machine says nothing; what the platform is asked to hash does.
    let hashed = 0;
    const watch = createHook({
      init: (_, type) => {
        if (type === 'SCRYPTREQUEST') hashed += 1;
      },
    }).enable();
    try {
      for (const address of [email, 'nobody@else.example']) {
        hashed = 0;
        expect((await new Browser().send('enter', passphraseOf(address, OTHER))).ok).toBe(false);
        expect([address, hashed]).toEqual([address, 1]);
      }
    } finally {
      watch.disable();
    }
  });

  it('gives a new session each time, in a cookie that no script sees, and ends the one before', async () => {
    const { email, browser } = await joined('preparer');
    const before = browser.asked.headers;
    expect(browser.set.join()).toMatch(/^bathron\.session_token=[^;]{40,};.*HttpOnly.*SameSite=Lax/i);
    // A session that somebody planted in the browser is not taken on.
    const planted = new Browser();
    planted.cookies.set('bathron.session_token', 'planted.c2lnbmF0dXJl');
    await planted.send('enter', passphraseOf(email));
    expect(planted.cookies.get('bathron.session_token')).not.toContain('planted');
    await browser.send('enter', passphraseOf(email));
    expect(await sessionIn(before)).toBeUndefined();
    expect(await sessionIn(browser.asked.headers)).toBeDefined();
    // Whoever's it was: somebody else signs in at the same browser.
    const other = await joined('reviewer');
    const theirs = browser.asked.headers;
    await browser.send('enter', passphraseOf(other.email));
    expect(await sessionIn(theirs)).toBeUndefined();
    expect((await sessionIn(browser.asked.headers))?.person).toBe(other.id);
    // One letter of its signature changed, and it is nobody's.
    const forged = new Headers(browser.asked.headers);
    forged.set(
      'cookie',
      (forged.get('cookie') ?? '').replace(
        /session_token=(.)/,
        (_, letter) => `session_token=${letter === 'a' ? 'b' : 'a'}`,
      ),
    );
    expect(await sessionIn(forged)).toBeUndefined();
  });

  it('is for TLS only where people come by TLS', async () => {
    const { email } = await joined('preparer');
    vi.stubEnv('PUBLIC_URL', 'https://books.example');
    useDatabase(database.current);
    const browser = new Browser();
    await browser.send('enter', passphraseOf(email));
    expect(browser.set.join()).toMatch(/^__Secure-bathron\.session_token=[^;]+;.*\bSecure\b/);
    expect(await sessionIn(browser.asked.headers)).toBeDefined();
    vi.unstubAllEnvs();
    useDatabase(database.current);
  });

  it('ends after half a day, and when one signs out', async () => {
    const { browser } = await joined('preparer');
    vi.useFakeTimers({ now: Date.now() + 12 * 3600_000 + 60_000, toFake: ['Date'] });
    expect(await sessionIn(browser.asked.headers)).toBeUndefined();
    vi.useRealTimers();
    const { email, browser: another } = await joined('preparer');
    const stolen = another.asked.headers;
    await another.send('leave', {});
    expect(await sessionIn(stolen)).toBeUndefined();
    expect(another.cookies.size).toBe(0);
    expect((await another.send('enter', passphraseOf(email))).ok).toBe(true);
  });

  it('is held up after ten tries at one address, counted by all processes together, and never for good', async () => {
    const { email } = await joined('preparer');
    const guesser = new Browser('192.0.2.200');
    const tries = (many: number) =>
      Promise.all(Array.from({ length: many }, () => guesser.send('enter', passphraseOf(email, OTHER))));
    const tried = await tries(6);
    // As another process would: nothing is known there but what the database holds.
    useDatabase(database.current);
    tried.push(...(await tries(6)));
    const codes = tried.flatMap(codesOf);
    expect(codes.filter((code) => code === 'sign-in.wrong')).toHaveLength(10);
    expect(codes.filter((code) => code === 'sign-in.wait')).toHaveLength(2);
    // The right one is not tried any more either, from there; from elsewhere it is.
    expect(codesOf(await guesser.send('enter', passphraseOf(email)))).toEqual(['sign-in.wait']);
    expect((await new Browser('192.0.2.201').send('enter', passphraseOf(email))).ok).toBe(true);
    vi.useFakeTimers({ now: Date.now() + 16 * 60_000, toFake: ['Date'] });
    expect((await guesser.send('enter', passphraseOf(email))).ok).toBe(true);
    // Nothing that was typed is kept.
    const kept = await database.current.query<{ key: string }>('select key from login_attempt');
    expect(kept.every(({ key }) => !key.includes('@'))).toBe(true);
  });
});

describe('a link', () => {
  it('works once, for its time, and the newest only; of two who use it at once, one does', async () => {
    count += 1;
    const email = `person${String(count)}@wrack.example`;
    const { id } = valueOf(await addPerson({ name: `Somebody ${String(count)}`, email, role: 'reader', charts: true }));
    const first = valueOf(await sendWayIn({ person: id }));
    const second = valueOf(await sendWayIn({ person: id }));
    const choose = (link: string) => new Browser().send('choose', { token: tokenIn(link), passphrase: PASSPHRASE });
    expect(codesOf(await choose(first.link))).toEqual(['way-in.over']);
    const both = await Promise.all([choose(second.link), choose(second.link)]);
    expect(both.filter(({ ok }) => ok)).toHaveLength(1);
    expect(codesOf(await choose(second.link))).toEqual(['way-in.over']);
    // Those who can sign in get one for another passphrase, for thirty minutes.
    const third = valueOf(await sendWayIn({ person: id }));
    expect(third.kind).toBe('recovery');
    vi.useFakeTimers({ now: Date.now() + 31 * 60_000, toFake: ['Date'] });
    expect(codesOf(await choose(third.link))).toEqual(['way-in.over']);
    vi.useRealTimers();
    const kept = await database.current.query<{ token_hash: string }>('select token_hash from login_link');
    expect(kept.some(({ token_hash: hash }) => third.link.includes(hash))).toBe(false);
    expect(codesOf(await choose('x'))).toEqual(['way-in.over']);
  });

  it('for another passphrase comes by e-mail, ends all sessions, and the answer is the same for nobody', async () => {
    const { email, browser } = await joined('preparer');
    askedBy(() => Promise.resolve({ here: true, origin: '' }));
    const asker = new Browser();
    expect(await asker.send('forgotten', { email: 'nobody@else.example' })).toEqual({ ok: true, value: {} });
    expect(await asker.send('forgotten', { email: email.toUpperCase() })).toEqual({ ok: true, value: {} });
    const linkTo = async (): Promise<string> => {
      const mail = await mailboxView();
      expect(mail?.filter(({ to }) => to === 'nobody@else.example')).toEqual([]);
      return (
        /\S+\/way-in\/\S+/.exec(
          mail?.find(({ to, subject }) => to === email && /another/.test(subject))?.body ?? '',
        )?.[0] ?? ''
      );
    };
    await vi.waitFor(async () => expect(await linkTo()).toMatch(/^https:\/\/books\.example\/way-in\/[\w-]{43}$/));
    const link = await linkTo();
    expect(codesOf(await asker.send('choose', { token: tokenIn(link), passphrase: 'somebody orbit candle' }))).toEqual([
      'passphrase.told',
    ]);
    expect((await asker.send('choose', { token: tokenIn(link), passphrase: OTHER })).ok).toBe(true);
    expect(await sessionIn(browser.asked.headers)).toBeUndefined();
    expect(codesOf(await browser.send('enter', passphraseOf(email)))).toEqual(['sign-in.wrong']);
    expect((await browser.send('enter', passphraseOf(email, OTHER))).ok).toBe(true);
  });

  it('is made by an owner only, for people of the own practice', async () => {
    const { id, browser } = await joined('preparer');
    await browser.looks();
    expect(codesOf(await sendWayIn({ person: id }))).toEqual(['access.denied']);
    askedBy(undefined);
    await database.current.query(`insert into practice (id, name) values (77, 'Elsewhere') on conflict do nothing`);
    const [other] = await database.current.query<{ id: number }>(
      `insert into person (practice_id, name, email) values (77, 'Owner elsewhere', 'elsewhere@x.example') returning id`,
    );
    expect(codesOf(await sendWayIn({ person: other?.id ?? 0 }))).toEqual(['person.unknown']);
    // Nor can a login be of one practice and its person of another, whoever writes it.
    await refused(
      database.current.query(
        `insert into login (id, practice_id, person_id, name, email, created_at, updated_at) values ('x', 1, $1, 'x', 'x@x.example', now(), now())`,
        [other?.id],
      ),
      /foreign key/,
    );
  });
});

describe('a second step', () => {
  it('is asked for after the passphrase; a code works once, a recovery code once', async () => {
    const { email, browser } = await joined('reviewer');
    expect(codesOf(await browser.send('second-step', { current: OTHER }))).toEqual(['own.passphrase']);
    const begun = valueOf(await browser.send('second-step', { current: PASSPHRASE })) as {
      letters: string;
      picture: string;
      recovery: string[];
    };
    expect(begun.picture).toMatch(/^<svg/);
    expect(begun.recovery).toHaveLength(10);
    expect(codesOf(await browser.send('second-step-code', { code: '000000' }))).toEqual(['own.code']);
    expect((await browser.send('second-step-code', { code: codeOf(begun.letters) })).ok).toBe(true);
    expect(await sessionIn(browser.asked.headers)).toBeDefined();

    const other = new Browser();
    expect(await other.send('enter', passphraseOf(email))).toEqual({ ok: true, value: { to: '/sign-in/code' } });
    expect(await sessionIn(other.asked.headers)).toBeUndefined();
    expect(codesOf(await other.send('code', { code: '000000' }))).toEqual(['sign-in.code']);
    // Whoever looks later sees that somebody had the passphrase.
    expect((await auditView(undefined, 'sign-in')).lines[0]?.about).toMatch(/^The passphrase was right/);
    // The code that finished the setting up was used already.
    expect(codesOf(await other.send('code', { code: codeOf(begun.letters) }))).toEqual(['sign-in.code']);
    await other.send('enter', passphraseOf(email));
    const later = codeOf(begun.letters, Date.now() + 30_000);
    expect((await other.send('code', { code: `${later.slice(0, 3)} ${later.slice(3)}` })).ok).toBe(true);
    expect(await sessionIn(other.asked.headers)).toBeDefined();

    const [kept = ''] = begun.recovery;
    for (const expected of [true, false]) {
      const lost = new Browser();
      await lost.send('enter', passphraseOf(email));
      expect((await lost.send('code', { code: kept.toLowerCase() })).ok).toBe(expected);
    }
    // Of what is kept, nothing is the secret or a code.
    const [row] = await database.current.query<{ secret: string; backup_codes: string }>(
      'select secret, backup_codes from login_second_step',
    );
    expect(JSON.stringify(row)).not.toContain(begun.recovery[1]);
  });

  it('is not guessed: a few tries, and one begins again; many, and one waits', async () => {
    const { email, browser } = await joined('reviewer');
    const { letters } = valueOf(await browser.send('second-step', { current: PASSPHRASE })) as { letters: string };
    await browser.send('second-step-code', { code: codeOf(letters) });
    const codes: string[] = [];
    for (let round = 0; round < 3; round += 1) {
      const guesser = new Browser();
      await guesser.send('enter', passphraseOf(email));
      for (let tries = 0; tries < 6; tries += 1)
        codes.push(...codesOf(await guesser.send('code', { code: String(tries).padStart(6, '9') })));
    }
    expect(codes.filter((code) => code === 'sign-in.code')).toHaveLength(10);
    expect(codes.at(-1)).toBe('sign-in.wait');
  });

  it('is demanded by role: whoever has none sets it up before anything else', async () => {
    const { browser } = await joined('preparer');
    valueOf(await demandSecondStep({ roles: ['preparer'] }));
    await browser.looks();
    await expect(boardView()).rejects.toThrow(/second step/);
    expect(codesOf(await removeBooks({ books: [1] } as never))).toEqual(['access.unfinished']);
    expect((await accountView())?.demanded).toBe(true);
    const { letters } = valueOf(await browser.send('second-step', { current: PASSPHRASE })) as { letters: string };
    await browser.send('second-step-code', { code: codeOf(letters) });
    await browser.looks();
    expect((await boardView()).who.role).toBe('Preparer');
    askedBy(undefined);
    valueOf(await demandSecondStep({ roles: [] }));
  });
});

describe('a right', () => {
  it('that is taken is gone with the next request, and whoever leaves is signed out', async () => {
    const { id, email, browser } = await joined('owner');
    await browser.looks();
    expect((await peopleView()).mayChange).toBe(true);
    askedBy(undefined);
    const be = async (fields: object): Promise<void> => {
      askedBy(undefined);
      const was = (await peopleView()).people.find((one) => one.id === personId(id));
      valueOf(await changePerson({ ...(was ?? ({} as never)), ...fields }));
      await browser.looks();
    };
    await be({ role: 'reader' });
    expect(codesOf(await addPerson({ name: 'Sneaked in', email: '', role: 'owner', charts: true }))).toEqual([
      'access.denied',
    ]);
    await be({ active: false });
    await expect(boardView()).rejects.toThrow(/Sign in/);
    expect(codesOf(await new Browser().send('enter', passphraseOf(email)))).toEqual(['sign-in.wrong']);
  });

  it('is nobody’s without a session: neither a page nor an action, and nothing is said of books', async () => {
    const books = await newBooks({ name: 'Behind the door' });
    askedBy(() => Promise.resolve({ here: true, chosen: 1, origin: '' }));
    await expect(boardView()).rejects.toThrow(/Sign in/);
    expect(codesOf(await removeBooks({ books: [books] } as never))).toEqual(['access.signed-out']);
    expect(await accountView()).toBeUndefined();
  });

  it('over sessions is one’s own: those of others are not ended', async () => {
    const [one, other] = [await joined('preparer'), await joined('preparer')];
    const theirs = await sessionIn(other.browser.asked.headers);
    expect(codesOf(await one.browser.send('end-session', { session: theirs?.session }))).toEqual(['session.unknown']);
    const second = new Browser();
    await second.send('enter', passphraseOf(one.email));
    const there = await sessionIn(second.asked.headers);
    expect((await one.browser.send('end-session', { session: there?.session })).ok).toBe(true);
    expect(await sessionIn(second.asked.headers)).toBeUndefined();
    // Another passphrase ends the others too.
    await second.send('enter', passphraseOf(one.email));
    expect((await one.browser.send('passphrase', { current: PASSPHRASE, passphrase: OTHER })).ok).toBe(true);
    expect(await sessionIn(second.asked.headers)).toBeUndefined();
    expect(await sessionIn(one.browser.asked.headers)).toBeDefined();
  });
});
