import { choiceView } from '@/actions/people/views';
import { CHOSEN } from '@/app/chosen';
import { guarded } from '@/app/guard';

/** Who to be is sent here, not fetched. */
export const GET = guarded(() => Promise.resolve(new Response('Who to be is sent here.', { status: 405 })));

/** One chose whom to be, in the demo's data; anywhere else there is nobody to choose. */
export const POST = guarded(async (request) => {
  const { demo, people } = await choiceView();
  const length = Number(request.headers.get('content-length') ?? 0);
  const asked = demo && length <= 1000 ? Number((await request.formData()).get('person')) : 0;
  const person = people.find(({ id }) => id === asked);
  if (person === undefined) return new Response('There is nobody of that number to be.', { status: 404 });
  return new Response(null, {
    status: 303,
    headers: {
      Location: '/',
      'Set-Cookie': `${CHOSEN}=${String(person.id)}; Path=/; HttpOnly; SameSite=Strict`,
    },
  });
});
