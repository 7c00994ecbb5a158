import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emailAttachment, readEmail } from './email';
import { MOST_SHOWN_CHARACTERS } from './limits';
import { MEDIA, mediaOf } from './media';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

const MESSAGE = [
  'Return-Path: <ines@skerry-bank.example>',
  'From: =?utf-8?Q?In=C3=A9s_Skerry?= <ines@skerry-bank.example>',
  'To: Crew: ana@marram.example, bo@marram.example;',
  'Subject: Balances at the end of July',
  'Date: Sat, 01 Aug 2026 09:30:00 +0200',
  'MIME-Version: 1.0',
  'Content-Type: multipart/mixed; boundary=part',
  '',
  '--part',
  'Content-Type: text/html; charset=utf-8',
  '',
  '<p>The current account stood at <b>48,210.55</b>.</p><script>alert(1)</script>',
  '<img src="https://tracker.example/seen.png"><a href="https://elsewhere.example">the statement</a>',
  '--part',
  'Content-Type: text/csv; name="../../july.csv"',
  'Content-Disposition: attachment; filename="../../july.csv"',
  'Content-Transfer-Encoding: base64',
  '',
  Buffer.from('Date;Amount\n2026-07-31;48210,55\n').toString('base64'),
  '--part--',
  '',
].join('\r\n');

describe('what a file is', () => {
  it.each([
    ['%PDF-1.4', 'application/pdf'],
    ['\x89PNG\r\n\x1a\n', 'image/png'],
    ['\xff\xd8\xff\xe0', 'image/jpeg'],
    ['GIF89a', 'image/gif'],
    ['RIFF\x00\x00\x00\x00WEBP', 'image/webp'],
    ['PK\x03\x04\x14\x00', 'application/octet-stream'],
    ['<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>', 'text/plain'],
    ['<html><script>alert(1)</script></html>', 'text/plain'],
    ['From: a\nnothing else', 'text/plain'],
    ['Date: 31.07.2026\nCode;Name;Balance', 'text/plain'],
    ['Subject: x\nFrom: a@b.example\n\nHello', 'message/rfc822'],
    ['', 'text/plain'],
  ])('%j is %s, whatever it is called', (start, media) => {
    expect(mediaOf(Uint8Array.from(start, (char) => char.charCodeAt(0)))).toBe(media);
  });

  it('is one of the kinds for any bytes, and one with noughts in it is no text', () => {
    fc.assert(fc.property(fc.uint8Array({ maxLength: 300 }), (any) => MEDIA.includes(mediaOf(any))));
    expect(mediaOf(Uint8Array.from([65, 0, 66]))).toBe('application/octet-stream');
    expect(mediaOf(Uint8Array.from([0xff, 0xfe, 65, 0, 66, 0]))).toBe('text/plain');
  });
});

describe('a message', () => {
  it('is shown by its words alone: nothing of it runs, and no address in it is kept to be fetched', async () => {
    const read = await readEmail(bytes(MESSAGE), 'balances.eml');
    expect(read).toMatchObject({
      ok: true,
      value: {
        from: 'Inés Skerry <ines@skerry-bank.example>',
        to: 'ana@marram.example, bo@marram.example',
        subject: 'Balances at the end of July',
        date: '2026-08-01T07:30:00.000Z',
        cut: false,
        attachments: [{ name: '../../july.csv', bytes: 32 }],
      },
    });
    const text = read.ok ? read.value.text : '';
    expect(text).toContain('48,210.55');
    expect(text).not.toMatch(/alert|tracker|elsewhere|</);
  });

  it('gives out what hangs on it byte for byte, and says where there is none', async () => {
    const found = await emailAttachment(bytes(MESSAGE), 'balances.eml', 0);
    expect(found.ok && new TextDecoder().decode(found.value.content)).toBe('Date;Amount\n2026-07-31;48210,55\n');
    expect(await emailAttachment(bytes(MESSAGE), 'balances.eml', 1)).toMatchObject({
      ok: false,
      problems: [{ code: 'email.attachment' }],
    });
  });

  it('of any bytes is read or refused with a sentence, and never shown longer than the limit', async () => {
    const long = await readEmail(bytes(`From: a@b.example\nSubject: x\n\n${'word '.repeat(60_000)}`), 'long.eml');
    expect(long).toMatchObject({ ok: true, value: { cut: true } });
    expect(long.ok && long.value.text.length).toBe(MOST_SHOWN_CHARACTERS);
    const deep = Array.from({ length: 400 }, (_, at) => [
      `Content-Type: multipart/mixed; boundary=b${String(at)}`,
      '',
      `--b${String(at)}`,
    ]).flat();
    const nested = await readEmail(bytes(deep.join('\n')), 'deep.eml');
    expect(nested.ok ? [] : nested.problems.map(({ code }) => code)).toEqual(['email.unread']);
    await fc.assert(
      fc.asyncProperty(fc.string({ maxLength: 400, unit: 'binary' }), async (any) => {
        const read = await readEmail(bytes(any), 'any.eml');
        expect(read.ok || read.problems[0]?.code === 'email.unread').toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});
