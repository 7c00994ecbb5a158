import { health } from '@/actions/kernel/health';
import { FILE_POLICY, withHeaders } from '@/app/guard';

/** Whether this process answers, and may be sent requests. What asks it may know it by any name, so hosts are not looked at. */
export const GET = async (): Promise<Response> => {
  const found = await health();
  return withHeaders(
    Response.json(found, { status: found.ready ? 200 : 503, headers: { 'Cache-Control': 'no-store' } }),
    FILE_POLICY,
  );
};
