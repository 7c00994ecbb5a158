import { Go } from '../parts/go';
import type { StageId } from '@/core/proof/stage-ids';
import type { StageState } from '@/core/proof/stages';

/** Where each stage is worked on. */
export const stageHref = (books: number, stage: StageId): string =>
  `/books/${String(books)}${stage === 'company' ? '' : `/${stage}`}`;

/** The course: the stages as a row of stones, each filled as far as it is laid, each saying how it stands. */
export const Course = ({
  books,
  stages,
  current,
}: {
  readonly books: number;
  readonly stages: readonly StageState[];
  readonly current: StageId | undefined;
}) => (
  <nav aria-label="Stages" className="no-print min-w-0 overflow-x-auto">
    <ol className="flex h-full items-end gap-1 pt-2">
      {stages.map((stage) => {
        const here = stage.id === current;
        return (
          <li key={stage.id} className="min-w-28 flex-1">
            <Go
              href={stageHref(books, stage.id)}
              aria-current={here ? 'page' : undefined}
              className={`relative block overflow-hidden border border-b-0 px-2.5 pt-1 pb-1 focus-visible:outline-offset-[-3px] ${here ? 'border-rule border-t-[3px] border-t-madder bg-paper' : 'border-rule border-t-[3px] border-t-rule bg-paper hover:bg-paper-2'}`}
            >
              <span
                aria-hidden
                className="absolute inset-x-0 bottom-0 bg-stone"
                style={{ height: `${String(stage.fill)}%`, opacity: here ? 0.55 : 1 }}
              />
              <span className={`relative block truncate text-sm ${here ? 'font-semibold' : 'font-medium'}`}>
                {stage.label}
              </span>
              <span className="relative block truncate text-xs text-ink-2">{stage.note}</span>
            </Go>
          </li>
        );
      })}
    </ol>
  </nav>
);
