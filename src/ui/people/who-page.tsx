import type { choiceView } from '@/actions/people/views';
import { ROLE_FACTS } from '@/core/access/roles';
import { Go } from '../parts/go';

type View = Awaited<ReturnType<typeof choiceView>>;

/** In the demo's data: whom to be. A form without a script, since it changes who asks. */
export const WhoPage = ({ me, people }: View) => (
  <main className="mx-auto max-w-xl px-4 pt-12">
    <title>Whom to be · Bathron</title>
    <p className="inline-block border border-ochre px-1 text-sm text-ochre">demo</p>
    <h1 className="title mt-2 text-2xl">Whom do you want to be?</h1>
    <p className="note mt-1">
      These people and their books are invented, and the server answers on this machine only, so nobody is asked for a
      passphrase.
    </p>
    <form action="/who/choose" method="post" className="mt-4 divide-y divide-hairline border-y border-rule">
      {people.map(({ id, name, role }) => (
        <button
          key={id}
          name="person"
          value={id}
          className={`flex w-full items-baseline gap-4 px-2 py-2.5 text-left hover:bg-paper-2 ${id === me ? 'bg-madder-wash' : ''}`}
        >
          <span className="font-medium">{name}</span>
          <span className="text-sm text-ink-2">
            {ROLE_FACTS[role].label}: {ROLE_FACTS[role].means}
          </span>
          {id === me && <span className="note ml-auto whitespace-nowrap">now</span>}
        </button>
      ))}
    </form>
    <p className="mt-4">
      <Go href="/" className="btn btn-sm">
        Back to the board
      </Go>
    </p>
  </main>
);
