import { isFromHere } from '@/core/access/address';
import { SIMULATED_CURRENCIES, inventedRates } from '@/simulated/rates';

const isDay = (text: string | null): text is string =>
  text !== null && /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text));

/** Currencies that are looked at of a list; each is answered once. */
const MOST_ASKED = 200;

/**
 * The simulated rate service: invented rates as JSON or CSV. It stands for an outside service, so it asks and answers like
 * one: `base`, `currencies` (comma-separated), `from`, `to`, `format` (json or csv), and `mood`, which makes it slow, down
 * or answer garbage.
 */
export async function GET(request: Request): Promise<Response> {
  // It stands in for a service elsewhere, for this machine only.
  if (!isFromHere('localhost', request.headers.get('x-forwarded-for'))) return new Response(null, { status: 404 });
  const asked = new URL(request.url).searchParams;
  const mood = asked.get('mood') ?? 'as usual';
  if (mood === 'down') return new Response('The service is down for maintenance.', { status: 503 });
  if (mood === 'garbage') return new Response('<html><body>%PDF {"rates": [{"date": 17, "rate": NaN', { status: 200 });
  if (mood === 'slow') await new Promise((resolve) => setTimeout(resolve, 8000));
  const base = asked.get('base') ?? 'EUR';
  const wanted = new Set((asked.get('currencies') ?? SIMULATED_CURRENCIES.join(',')).split(',', MOST_ASKED));
  const currencies = SIMULATED_CURRENCIES.filter((currency) => wanted.has(currency));
  const [from, to] = [asked.get('from'), asked.get('to')];
  if (!isDay(from) || !isDay(to) || !SIMULATED_CURRENCIES.includes(base))
    return Response.json(
      { error: 'base is one of the currencies served; from and to are days, YYYY-MM-DD' },
      { status: 400 },
    );
  const rates = inventedRates(base, currencies, from, to);
  if (asked.get('format') === 'csv')
    return new Response(
      ['date,base,currency,rate', ...rates.map((one) => `${one.date},${base},${one.currency},${one.rate}`)].join(
        '\r\n',
      ) + '\r\n',
      {
        headers: { 'Content-Type': 'text/csv; charset=utf-8' },
      },
    );
  return Response.json({ base, rates });
}
