import { Denied } from '@/actions/kernel/action';
import { SignedOut, Unfinished } from '@/actions/kernel/context';
import { FILE_POLICY, refusal, withHeaders } from './guard';

const told = (status: number, code: string, { message }: Error): Response =>
  Response.json({ ok: false, problems: [{ code, message }] }, { status });

const carried = async (handle: () => Promise<Response>): Promise<Response> => {
  try {
    return await handle();
  } catch (error) {
    if (error instanceof SignedOut) return told(401, 'access.signed-out', error);
    if (error instanceof Unfinished) return told(401, 'access.unfinished', error);
    if (error instanceof Denied) return told(403, 'access.denied', error);
    throw error;
  }
};

/** A handler of an address that is no page: it guards itself, and says who may not ask it. */
export const guarded =
  <Given>(handle: (request: Request, given: Given) => Promise<Response>) =>
  async (request: Request, given: Given): Promise<Response> =>
    refusal(request) ?? withHeaders(await carried(() => handle(request, given)), FILE_POLICY);
