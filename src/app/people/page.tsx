import { peopleView } from '@/actions/people/views';
import { shown } from '@/app/denied';
import { PeoplePage } from '@/ui/people/people-page';

export const dynamic = 'force-dynamic';

export default function People() {
  return shown(async () => <PeoplePage {...await peopleView()} />);
}
