import { address } from '@/actions/kernel/address';
import { isLoopback, nameOfHost } from '@/core/access/address';

/**
 * What every request goes through before anything else: which names this server answers to, which pages may ask it, and the
 * headers that go with every answer. They are decided here and nowhere else, since what is set in several places overwrites
 * itself. `proxy.ts` asks for all addresses but those that take large files, whose body it would hold a second time, and the
 * one that is asked most; these ask themselves (`guarded`).
 */

/** Where this server is reached; a start with variables that do not fit together has ended before anybody asks. */
const { publicUrl, secure } = address();

/** A name under which a browser on this machine reaches the server, or the one that people use. */
const isOurs = (host: string): boolean =>
  isLoopback(host) || (publicUrl !== undefined && nameOfHost(host) === nameOfHost(new URL(publicUrl).host));

/** Addresses that answer with a file or data and never with a page. */
export const NO_PAGE =
  /^\/(?:health\/?$|simulated\/rates\/?$|sign-in\/do\/[a-z-]+\/?$|who\/choose\/?$|audit\/file\/?$|books\/\d+\/(?:logo|here|accounts(?:\/\d+)?|changes\/last|papers\/(?:bring|\d+\/(?:file|matching|show))|calendar\/file|currencies\/rates|chart\/(?:export|import\/take|tidy\/count)|openings\/(?:audit-file|figures|compare\/export)|schedules\/(?:contacts\/(?:rows|list)|analysis\/rows|\d+\/(?:items|list))|statements\/[a-z-]+\/export|lists\/[a-z-]+)\/?$)/;

const development = process.env.NODE_ENV === 'development';

export const pagePolicy = (nonce: string): string =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development ? " 'unsafe-eval'" : ''}`,
    "worker-src 'self' blob:",
    // Styles of single elements are written by the libraries that place rows and drawings.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "connect-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

/** For what is no page: opened by itself it runs nothing, loads nothing and stands in no frame. */
export const FILE_POLICY = "sandbox; default-src 'none'; frame-ancestors 'none'";

export const withHeaders = <R extends Response>(response: R, policy: string): R => {
  response.headers.set('Content-Security-Policy', policy);
  response.headers.set('X-Content-Type-Options', 'nosniff');
  response.headers.set('X-Frame-Options', 'DENY');
  response.headers.set('Referrer-Policy', 'same-origin');
  response.headers.set('Cross-Origin-Opener-Policy', 'same-origin');
  response.headers.set('Cross-Origin-Resource-Policy', 'same-origin');
  if (secure) response.headers.set('Strict-Transport-Security', 'max-age=31536000; includeSubDomains');
  response.headers.set('Permissions-Policy', 'camera=(), geolocation=(), microphone=()');
  return response;
};

const refused = (status: number, code: string, message: string): Response =>
  withHeaders(Response.json({ ok: false, problems: [{ code, message }] }, { status }), FILE_POLICY);

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Whether another site's page sent this. A link to a page of ours may be followed from anywhere; nothing else may. */
const isForeign = (request: Request, host: string, path: string): boolean => {
  const site = request.headers.get('sec-fetch-site');
  const followed =
    request.headers.get('sec-fetch-mode') === 'navigate' &&
    request.headers.get('sec-fetch-dest') === 'document' &&
    SAFE.has(request.method) &&
    !NO_PAGE.test(path);
  if ((site === 'cross-site' || site === 'same-site') && !followed) return true;
  const origin = request.headers.get('origin');
  if (origin === null || SAFE.has(request.method)) return false;
  return !URL.canParse(origin) || new URL(origin).host !== host.toLowerCase();
};

const decodes = (path: string): boolean => {
  try {
    decodeURIComponent(path);
    return true;
  } catch {
    return false;
  }
};

/** Why a request is not carried out, or undefined. */
export const refusal = (request: Request): Response | undefined => {
  const host = request.headers.get('host') ?? '';
  if (!isOurs(host))
    return refused(
      421,
      'request.host',
      'This server does not answer to that name. Open it under the name that it printed when it started; the name that people use is set as PUBLIC_URL.',
    );
  const path = new URL(request.url).pathname;
  if (!decodes(path)) return refused(400, 'request.address', 'This address holds something that is no text.');
  if (isForeign(request, host, path))
    return refused(403, 'request.origin', 'This was sent by a page of another site, so it was not carried out.');
  return undefined;
};
