import { type NextRequest, NextResponse } from 'next/server';
import { FILE_POLICY, NO_PAGE, pagePolicy, refusal, withHeaders } from './app/guard';

export const proxy = (request: NextRequest): Response => {
  const refused = refusal(request);
  if (refused !== undefined) return refused;
  if (NO_PAGE.test(request.nextUrl.pathname)) return withHeaders(NextResponse.next(), FILE_POLICY);
  const nonce = btoa(crypto.randomUUID());
  const policy = pagePolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  // Where somebody wanted to go who has to sign in first.
  headers.set('x-wanted', request.nextUrl.pathname + request.nextUrl.search);
  // The framework puts the nonce of this header on every script that it writes.
  headers.set('Content-Security-Policy', policy);
  return withHeaders(NextResponse.next({ request: { headers } }), policy);
};

/** All addresses but the one that tells how the process is, and those that guard themselves: a body that passes through here is held whole, and cut where it is large. */
export const config = {
  matcher: ['/((?!health$|books/\\d+/(?:papers/bring|chart/import/take|currencies/rates|openings/figures)$).*)'],
};
