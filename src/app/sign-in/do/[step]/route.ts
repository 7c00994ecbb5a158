import { SIGN_IN_STEPS, isSignInStep } from '@/actions/sign-in/steps';
import { askedIn } from '@/app/asking';
import { guarded } from '@/app/guarded';
import { sentValue } from '@/app/upload';

/** Such a form has a few short fields. */
const MOST_BYTES = 5000;

/** These are sent, not fetched. */
export const GET = guarded(() => Promise.resolve(new Response('This is sent here, not fetched.', { status: 405 })));

/**
 * What somebody sends who signs in, or sees to how they do. An address and no server action: it answers with cookies, it is the
 * same from build to build, and whoever is not signed in reaches nothing else.
 */
export const POST = guarded(async (request, { params }: { readonly params: Promise<{ step: string }> }) => {
  const { step } = await params;
  if (!isSignInStep(step)) return new Response('There is no such step.', { status: 404 });
  const sent = await sentValue(request, MOST_BYTES);
  if (sent instanceof Response) return sent;
  const { result, cookies } = await SIGN_IN_STEPS[step](sent, askedIn(request));
  const answer = Response.json(result, { headers: { 'Cache-Control': 'no-store' } });
  for (const cookie of cookies) answer.headers.append('Set-Cookie', cookie);
  return answer;
});
