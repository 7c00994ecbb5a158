import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addressFrom, clientOf, isFromHere, isLoopback, listensBy } from './address';
import { passphraseProblems, strengthOf } from './passphrase';

describe('where a server is reached', () => {
  it('is this machine unless it is said otherwise, and then by TLS', () => {
    expect(addressFrom({})).toEqual({ listens: '127.0.0.1', open: false, publicUrl: undefined, secure: false });
    expect(addressFrom({ HOST: 'localhost', PUBLIC_URL: ' ' })).toMatchObject({ open: false });
    expect(addressFrom({ HOST: '0.0.0.0', PUBLIC_URL: 'https://books.example/' })).toEqual({
      listens: '0.0.0.0',
      open: true,
      publicUrl: 'https://books.example',
      secure: true,
    });
    // Behind a proxy on the same machine it listens here, and is reached from elsewhere all the same.
    expect(addressFrom({ PUBLIC_URL: 'https://books.example' })).toMatchObject({ open: true, listens: '127.0.0.1' });
    expect(addressFrom({ PUBLIC_URL: 'http://books.lan', BEHIND_PROXY: 'yes' })).toMatchObject({ secure: false });
  });

  it.each([
    [{ HOST: '0.0.0.0' }, /PUBLIC_URL/],
    [{ HOST: '192.168.1.7' }, /HOST is 192\.168\.1\.7/],
    [{ PUBLIC_URL: 'books.example' }, /no address/],
    [{ PUBLIC_URL: 'http://books.example' }, /BEHIND_PROXY=yes/],
    [{ PUBLIC_URL: 'http://books.example', BEHIND_PROXY: 'perhaps' }, /BEHIND_PROXY=yes/],
    [{ PUBLIC_URL: 'https://books.example/app' }, /without anything after/],
    [{ PUBLIC_URL: 'ftp://books.example' }, /https/],
  ])('says what is missing: %o', (variables, says) => {
    expect(addressFrom(variables)).toMatch(says);
  });

  it('listens where its command says, whatever HOST does', () => {
    const next = ['/usr/bin/node', '/app/node_modules/next/dist/bin/next', 'start'];
    expect(listensBy([...next, '-H', '127.0.0.1', '-p', '3000'])).toBe('127.0.0.1');
    expect(listensBy([...next, '-p', '3000', '--hostname', '::'])).toBe('::');
    expect(listensBy(next)).toBe('0.0.0.0');
    expect(listensBy(['/usr/bin/node', 'scripts/person.ts', 'start'])).toBeUndefined();
  });

  it('is asked by whoever the nearest proxy names; what stands before may be invented', () => {
    const address = fc.ipV4();
    fc.assert(
      fc.property(fc.array(fc.string()), address, (invented, client) => {
        const forwarded = [...invented.map((one) => one.replaceAll(',', ' ')), client].join(', ');
        expect(clientOf(forwarded)).toBe(client);
      }),
    );
    expect(clientOf('::ffff:10.0.0.1')).toBe('10.0.0.1');
    expect(clientOf('<script>')).toBe('');
    expect(clientOf(null)).toBe('');
  });

  it('is from here under a loopback name and through no proxy only', () => {
    expect(isFromHere('127.0.0.1:3000', '127.0.0.1')).toBe(true);
    expect(isFromHere('[::1]:3000', '::ffff:127.0.0.1')).toBe(true);
    expect(isFromHere('localhost', null)).toBe(true);
    expect(isFromHere('localhost:3000', '::1')).toBe(true);
    expect(isLoopback('::1') && isLoopback('[::1]') && isLoopback('LOCALHOST:80')).toBe(true);
    expect(isLoopback('::2') || isLoopback('2001:db8::1') || isLoopback('')).toBe(false);
    expect(isFromHere('localhost', '203.0.113.9, 127.0.0.1')).toBe(false);
    expect(isFromHere('127.0.0.1', '127.0.0.1, 203.0.113.9')).toBe(false);
    expect(isFromHere('books.example', '127.0.0.1')).toBe(false);
    expect(isFromHere(null, null)).toBe(false);
    expect(isLoopback('127.0.0.1.evil.example')).toBe(false);
  });
});

describe('a passphrase', () => {
  it('of unlike words is taken; what everybody knows of the person never is, wherever it stands', () => {
    expect(passphraseProblems('limpet orbit candle forty', ['Ines Halloran', 'Wrack & Tide'])).toEqual([]);
    fc.assert(
      fc.property(
        fc.constantFrom('Halloran', 'halloran', 'HÁLLORAN', 'Wrack'),
        fc.string({ minLength: 12, maxLength: 30 }),
        (word, rest) => {
          const codes = (text: string) =>
            passphraseProblems(text, ['Ines Halloran', 'Wrack & Tide']).map(({ code }) => code);
          expect(codes(word + rest)).toEqual(['passphrase.told']);
          expect(codes(`${rest}${word}`)).toEqual(['passphrase.told']);
        },
      ),
    );
  });

  it('has no rules of characters: any that is long and not guessed is taken, in any script', () => {
    for (const text of [
      'пластилин дорога восемь',
      '海岸線 机 四十 梯子 果樹園',
      'aller nulle part zut',
      '   spaces count too   ',
    ])
      expect(passphraseProblems(text, []), text).toEqual([]);
    expect(passphraseProblems('aaaaaaaaaaaaaaaa', []).map(({ code }) => code)).toEqual(['passphrase.weak']);
    expect(passphraseProblems('😀😀😀😀😀😀', []).map(({ code }) => code)).toEqual(['passphrase.short']);
  });

  it('is judged in five steps, by what people choose', () => {
    expect(strengthOf('password', [])).toBe(0);
    expect(strengthOf('limpet orbit candle forty', [])).toBe(4);
    expect(strengthOf('x'.repeat(100_000), [])).toBeLessThan(3);
  });
});
