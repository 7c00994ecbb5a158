'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { changeCompany } from '@/actions/books';
import type { FrameView } from '@/actions/views';
import type { Problem } from '@/core/result';
import { Field } from '../parts/field';
import type { Named } from '../parts/names';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { CountryOptions, LegalFormOptions, StyleOptions } from './choices';

interface CompanyFormProps {
  readonly books: Pick<FrameView, 'id' | 'name' | 'legalForm' | 'country' | 'style'>;
  readonly countries: Named;
}

/** What may still change about a company. */
export const CompanyForm = ({ books, countries }: CompanyFormProps) => {
  const router = useRouter();
  const { id, name, legalForm, country, style } = books;
  const { register, handleSubmit, formState } = useForm({ defaultValues: { name, legalForm, country, style } });
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const at = (field: string): string | undefined => problems.find((one) => one.field === field)?.message;
  const submit = handleSubmit(async (given) => {
    const done = await send(changeCompany({ books: id, ...given }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast('Company saved');
    router.refresh();
  });
  return (
    <form noValidate onSubmit={(event) => void submit(event)} className="flex flex-col gap-2.5">
      <Problems problems={problems.filter((one) => one.field === undefined)} />
      <Field label="Company name" problem={at('name')}>
        {(ids) => <input {...ids} {...register('name')} className="input input-sm w-full" />}
      </Field>
      <Field label="Legal form" hint="a change here leaves the chart as it is">
        {(ids) => (
          <select {...ids} {...register('legalForm')} className="select select-sm w-full">
            <LegalFormOptions />
          </select>
        )}
      </Field>
      <div className="grid grid-cols-2 gap-4">
        <Field label="Country" problem={at('country')}>
          {(ids) => (
            <select {...ids} {...register('country')} className="select select-sm w-full">
              <CountryOptions names={countries} />
            </select>
          )}
        </Field>
        <Field label="Numbers written">
          {(ids) => (
            <select {...ids} {...register('style')} className="select select-sm w-full">
              <StyleOptions />
            </select>
          )}
        </Field>
      </div>
      <button type="submit" className="btn btn-sm self-start" disabled={formState.isSubmitting || !formState.isDirty}>
        Save changes
      </button>
    </form>
  );
};
