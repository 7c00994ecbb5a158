import { boundedBytes } from '@/actions/kernel/bounded';
import { megabytes } from '@/core/files/limits';
import { fromWire } from '@/core/money/wire';

const refused = (status: number, code: string, message: string): Response =>
  Response.json({ ok: false, problems: [{ code, message }] }, { status });

/** Characters of a name in its header, percent-encoded. */
const MOST_NAME = 4000;

/** The name of a file that came as a body. It stands in a header of our own, which no other site can send. */
export const namedUpload = (request: Request): string | Response => {
  const name = request.headers.get('x-paper-name');
  if (name === null || name.length > MOST_NAME)
    return refused(400, 'upload.no-name', 'The file came without a name, or with one longer than a name is.');
  try {
    return decodeURIComponent(name);
  } catch {
    // Not percent-encoded: the name is taken as it stands.
    return name;
  }
};

/** Reads a body up to the limit and gives up beyond it, whatever length was announced. */
export const bounded = async (
  request: Request,
  limit: number,
  what = 'The file',
): Promise<Uint8Array<SharedArrayBuffer> | Response> =>
  (await boundedBytes(request.body, limit)) ??
  refused(413, 'upload.large', `${what} is larger than ${megabytes(limit)}, which is the most that is taken.`);

/** The object that came as a body of JSON; its shape is for the action to check. */
export const sentValue = async (request: Request, limit: number): Promise<object | Response> => {
  const bytes = await bounded(request, limit, 'What was sent');
  if (bytes instanceof Response) return bytes;
  try {
    const value = fromWire(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
    if (typeof value === 'object' && value !== null) return value;
  } catch (error) {
    if (!(error instanceof SyntaxError || error instanceof TypeError)) throw error;
  }
  return refused(400, 'request.body', 'What was sent is no JSON object, so nothing was stored.');
};
