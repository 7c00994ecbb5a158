import { choiceView } from '@/actions/people/views';
import { CHOSEN } from '@/app/asking';
import { guarded } from '@/app/guarded';
import { bounded } from '@/app/upload';

/** The form has one field. */
const MOST_FORM_BYTES = 1000;

/** Who to be is sent here, not fetched. */
export const GET = guarded(() => Promise.resolve(new Response('Who to be is sent here.', { status: 405 })));

/** One chose whom to be, in the demo's data; anywhere else there is nobody to choose. */
export const POST = guarded(async (request) => {
  const body = await bounded(request, MOST_FORM_BYTES);
  if (body instanceof Response) return body;
  const asked = Number(new URLSearchParams(new TextDecoder().decode(body)).get('person'));
  // In other data there is nobody to choose.
  const person = (await choiceView()).people.find(({ id }) => id === asked);
  if (person === undefined) return new Response('There is nobody of that number to be.', { status: 404 });
  return new Response(null, {
    status: 303,
    headers: {
      Location: '/',
      'Set-Cookie': `${CHOSEN}=${String(person.id)}; Path=/; HttpOnly; SameSite=Strict`,
    },
  });
});
