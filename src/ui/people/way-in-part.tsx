import { useState } from 'react';
import { toast } from 'sonner';
import { endSessionsOf, sendWayIn, takeSecondStep } from '@/actions/people/help';
import type { peopleView } from '@/actions/people/views';
import type { Problem, Result } from '@/core/base/result';
import { Go } from '../parts/go';

import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';
import { When } from '../parts/when';

type View = Awaited<ReturnType<typeof peopleView>>;

/** How somebody comes in: invited by a link, helped where passphrase or device are lost, sent out where they are signed in. */
export const WayInPart = ({
  person,
  way,
  mail,
}: {
  readonly person: View['people'][number];
  readonly way: View['ways'][number];
  readonly mail: View['mail'];
}) => {
  const refresh = useRefresh();
  const [made, setMade] = useState<{ readonly link: string; readonly sent: boolean } | undefined>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const run = <T,>(asked: Promise<Result<T>>, then: (value: T) => void): void =>
    void send(asked).then((done) => {
      setProblems(done.ok ? [] : done.problems);
      if (done.ok) then(done.value);
      refresh();
    });
  return (
    <section aria-labelledby="way-in" className="space-y-2 border-t border-rule pt-3">
      <h3 id="way-in" className="font-semibold">
        Signing in
      </h3>
      <p className="text-sm">
        {way.login
          ? `Signs in with a passphrase${way.secondStep ? ' and a second step' : ''}; ${way.sessions === 0 ? 'nowhere now' : `in ${String(way.sessions)} ${way.sessions === 1 ? 'place' : 'places'} now`}.`
          : 'Cannot sign in yet.'}
        {way.link !== null && (
          <span className="note block">
            A link is under way, until <When at={way.link} />.
          </span>
        )}
      </p>
      <p className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm" onClick={() => run(sendWayIn({ person: person.id }), setMade)}>
          {way.login ? 'Send a link for another passphrase' : way.link === null ? 'Invite' : 'Invite again'}
        </button>
        {way.secondStep && (
          <button
            type="button"
            className="btn btn-sm"
            onClick={() =>
              run(takeSecondStep({ person: person.id }), () =>
                toast(`The second step of ${person.name} is gone, and their sessions have ended`),
              )
            }
          >
            Take the second step away
          </button>
        )}
        {way.sessions > 0 && (
          <button
            type="button"
            className="btn btn-sm"
            onClick={() =>
              run(endSessionsOf({ person: person.id }), () => toast(`${person.name} is signed out everywhere`))
            }
          >
            Sign out everywhere
          </button>
        )}
      </p>
      {made !== undefined && (
        <div role="status" className="border-l-4 border-rule bg-paper-2 px-3 py-2 text-sm">
          <p>
            {made.sent ? `Sent to ${person.email}` : 'It could not be sent; hand the link over yourself'}
            {made.sent && mail === 'simulated' && (
              <>
                {', into the '}
                <Go href="/simulated/mailbox" className="link">
                  simulated mailbox
                </Go>
              </>
            )}
            . Whoever has it can choose the passphrase, once.
          </p>
          <input
            readOnly
            aria-label="Link"
            value={made.link}
            className="input input-xs mt-1 w-full font-mono"
            onFocus={(event) => event.target.select()}
          />
        </div>
      )}
      <Problems problems={problems} />
    </section>
  );
};
