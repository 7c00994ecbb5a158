export const dynamic = 'force-dynamic';

/** The baseline of the page benchmarks: nothing but a field, rendered by the same framework. */
export default function Page() {
  return <input aria-label="A field" />;
}
