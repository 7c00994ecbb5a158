import { TriangleAlert } from 'lucide-react';
import type { Problem } from '@/core/base/result';

/** Problems that belong to no single field, where the eye is. */
export const Problems = ({ problems }: { readonly problems: readonly Problem[] }) =>
  problems.length === 0 ? null : (
    <ul role="alert" className="border-l-4 border-brick bg-paper-2 px-3 py-2 text-sm">
      {problems.map((one) => (
        <li key={one.code + one.message} className="flex gap-2 py-0.5">
          <TriangleAlert aria-hidden className="mt-0.5 size-4 shrink-0 text-brick" />
          <span>{one.message}</span>
        </li>
      ))}
    </ul>
  );
