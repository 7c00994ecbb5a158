import { boundedBytes } from '@/actions/bounded';
import { megabytes } from '@/core/files/limits';

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
export const bounded = async (request: Request, limit: number): Promise<Uint8Array<SharedArrayBuffer> | Response> =>
  (await boundedBytes(request.body, limit)) ??
  refused(413, 'upload.large', `The file is larger than ${megabytes(limit)}, which is the most that is taken.`);
