'use client';

import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { saveScheme, setCodes } from '@/actions/chart/commands';
import type { FrameView } from '@/actions/frame/views';
import { type Account, called, chartIndex } from '@/core/chart/account';
import { codeQuestions, sayShape } from '@/core/chart/scheme';
import type { ChartSettings } from '@/core/chart/settings';
import { type Problem, plural } from '@/core/base/result';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { ChartFrame } from './chart-frame';
import { SchemeForm } from './code-scheme';
import { Renumber } from './renumber';
import { useRefresh } from '../parts/use-refresh';

/** How codes are built and which ranges they have, what is questionable about them now, and renumbering a branch. */
export const CodesPage = ({
  frame,
  settings,
  accounts,
}: {
  readonly frame: FrameView;
  readonly settings: ChartSettings;
  readonly accounts: readonly Account[];
}) => {
  const refresh = useRefresh();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const index = useMemo(() => chartIndex(accounts), [accounts]);
  const questions = accounts.flatMap((account) =>
    account.heading
      ? []
      : codeQuestions(settings.scheme, account, index)
          .slice(0, 1)
          .map((one) => ({ account, says: one.message })),
  );
  const settle = async (sent: Parameters<typeof send>[0], saying: string): Promise<void> => {
    const done = await send(sent);
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(saying);
    refresh();
  };
  return (
    <ChartFrame
      frame={frame}
      place="/codes"
      title="Account codes"
      about={
        settings.scheme === null
          ? 'no scheme; codes are as they come'
          : `${sayShape(settings.scheme)}; ${questions.length === 0 ? 'every code fits' : `${plural(questions.length, 'code')} to check`}`
      }
    >
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-5 px-4 py-3 xl:grid-cols-2">
        <section aria-labelledby="scheme" className="min-w-0">
          <h2 id="scheme" className="title mb-1 text-lg">
            The scheme
          </h2>
          <Problems problems={problems} />
          <div className="mb-3 flex flex-wrap gap-x-5 gap-y-1 text-sm">
            <label className="flex min-h-6 items-center gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={settings.codes === 'required'}
                onChange={(event) =>
                  void settle(
                    setCodes({ books: frame.id, codes: event.target.checked ? 'required' : 'optional' }),
                    'Saved',
                  )
                }
              />
              Every account needs a code
            </label>
            <label className="flex min-h-6 items-center gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={settings.codesShown}
                onChange={(event) => void settle(setCodes({ books: frame.id, shown: event.target.checked }), 'Saved')}
              />
              Show codes on the sheet
            </label>
          </div>
          <SchemeForm
            key={JSON.stringify(settings.scheme)}
            frame={frame}
            scheme={settings.scheme}
            accounts={accounts}
            onSave={(scheme) =>
              void settle(
                saveScheme({
                  books: frame.id,
                  scheme:
                    scheme === null ? null : { ...scheme, segments: [...scheme.segments], ranges: [...scheme.ranges] },
                }),
                'Scheme saved',
              )
            }
          />
        </section>
        <div className="flex min-w-0 flex-col gap-5">
          <Renumber frame={frame} accounts={accounts} />
          <section aria-labelledby="questions">
            <h2 id="questions" className="title mb-1 text-lg">
              Codes to check
            </h2>
            {questions.length === 0 ? (
              <p className="note">
                {settings.scheme === null
                  ? 'Without a scheme no code is questioned.'
                  : 'Every code has the shape and the range of its statement line.'}
              </p>
            ) : (
              <ul className="text-sm">
                {questions.slice(0, 100).map(({ account, says }) => (
                  <li key={account.id} className="border-b border-hairline py-1">
                    <b className="font-semibold">{called(account)}</b>: {says}
                  </li>
                ))}
              </ul>
            )}
          </section>
        </div>
      </div>
    </ChartFrame>
  );
};
