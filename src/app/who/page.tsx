import { notFound } from 'next/navigation';
import { choiceView } from '@/actions/people/views';
import { WhoPage } from '@/ui/people/who-page';

export const dynamic = 'force-dynamic';

export default async function Who() {
  const view = await choiceView();
  return view.demo ? <WhoPage {...view} /> : notFound();
}
