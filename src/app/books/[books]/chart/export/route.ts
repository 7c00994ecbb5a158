import { exportChart, isChartFormat } from '@/actions/chart/views';
import { exported } from '@/app/download';
import { idFrom } from '@/app/parameters';
import { guarded } from '@/app/guarded';

export const GET = guarded(
  async (request: Request, { params }: { readonly params: Promise<{ books: string }> }): Promise<Response> => {
    const format = new URL(request.url).searchParams.get('format') ?? 'csv';
    if (!isChartFormat(format)) return new Response('A chart is written as csv, xlsx or xml.', { status: 400 });
    const books = idFrom((await params).books);
    return exported(books, await exportChart(books, format));
  },
);
