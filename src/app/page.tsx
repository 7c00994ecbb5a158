import { boardView } from '@/actions/books/views';
import { Board } from '@/ui/board/board';

export const dynamic = 'force-dynamic';

export default async function BoardPage() {
  return <Board {...await boardView()} />;
}
