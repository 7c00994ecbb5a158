import { convert } from 'html-to-text';
import PostalMime, { type Address, type Email } from 'postal-mime';
import { type Result, fail, ok, problem } from '../base/result';
import { MOST_ATTACHMENTS, MOST_DEPTH, MOST_SHOWN_CHARACTERS } from './limits';

/** A message as it is shown: words only, so that nothing of it runs or is fetched. */
export interface ShownEmail {
  readonly from: string;
  readonly to: string;
  readonly subject: string;
  /** When it was sent, as it says; empty where it says nothing. */
  readonly date: string;
  readonly text: string;
  /** Whether there is more of the text than is shown. */
  readonly cut: boolean;
  readonly attachments: readonly { readonly name: string; readonly bytes: number }[];
}

export interface EmailAttachment {
  readonly name: string;
  readonly content: Uint8Array;
}

const HEAD_BYTES = 1024 * 1024;

const parsed = async (bytes: Uint8Array, name: string): Promise<Result<Email>> => {
  try {
    return ok(
      await PostalMime.parse(bytes, {
        attachmentEncoding: 'arraybuffer',
        maxNestingDepth: MOST_DEPTH,
        maxHeadersSize: HEAD_BYTES,
      }),
    );
  } catch (error) {
    // The parser throws plain errors for what goes past its bounds.
    if (!(error instanceof Error)) throw error;
    return fail(problem('email.unread', `${name} is no message that can be shown. It is kept as it is all the same.`));
  }
};

const addressed = (address: Address | undefined): string =>
  address === undefined
    ? ''
    : address.group === undefined
      ? address.name === ''
        ? address.address
        : `${address.name} <${address.address}>`
      : address.group.map(addressed).join(', ');

const attachmentsOf = (email: Email): readonly EmailAttachment[] =>
  email.attachments
    // Pictures within the text belong to it.
    .filter(({ disposition, related }) => disposition === 'attachment' || related !== true)
    .slice(0, MOST_ATTACHMENTS)
    .map(({ filename, content }, at) => ({
      name: filename ?? `attachment ${String(at + 1)}`,
      content: typeof content === 'string' ? new TextEncoder().encode(content) : new Uint8Array(content as ArrayBuffer),
    }));

/** The words of a message in HTML: without pictures and without the addresses behind its links. */
const wordsOf = (html: string): string =>
  convert(html.slice(0, MOST_SHOWN_CHARACTERS * 4), {
    wordwrap: false,
    limits: { maxDepth: MOST_DEPTH, maxInputLength: MOST_SHOWN_CHARACTERS * 4 },
    selectors: [
      { selector: 'img', format: 'skip' },
      { selector: 'a', options: { ignoreHref: true } },
    ],
  });

/** Reads a message (RFC 5322, MIME) for showing it. Never runs or fetches anything that it names. */
export const readEmail = async (bytes: Uint8Array, name: string): Promise<Result<ShownEmail>> => {
  const email = await parsed(bytes, name);
  if (!email.ok) return email;
  const { value } = email;
  const plain = value.text?.trim() ?? '';
  const text = plain === '' && value.html !== undefined ? wordsOf(value.html) : plain;
  return ok({
    from: addressed(value.from),
    to: (value.to ?? []).map(addressed).join(', '),
    subject: value.subject ?? '',
    date: value.date ?? '',
    text: text.slice(0, MOST_SHOWN_CHARACTERS),
    cut: text.length > MOST_SHOWN_CHARACTERS,
    attachments: attachmentsOf(value).map(({ name: own, content }) => ({ name: own, bytes: content.length })),
  });
};

/** What hangs on a message, by its place among the attachments that `readEmail` lists. */
export const emailAttachment = async (
  bytes: Uint8Array,
  name: string,
  at: number,
): Promise<Result<EmailAttachment>> => {
  const email = await parsed(bytes, name);
  if (!email.ok) return email;
  const found = attachmentsOf(email.value)[at];
  return found === undefined
    ? fail(problem('email.attachment', `${name} has no attachment number ${String(at + 1)}.`))
    : ok(found);
};
