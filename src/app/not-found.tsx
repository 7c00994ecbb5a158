import { Go } from '@/ui/parts/go';

export default function NotFound() {
  return (
    <main className="mx-auto max-w-xl px-4 pt-16">
      <title>Nothing here · Bathron</title>
      <h1 className="title text-2xl">Nothing stands at this address</h1>
      <p className="mt-2">The books, the paper or the page was removed, or the address was cut short.</p>
      <p className="mt-4">
        <Go href="/" className="btn btn-sm">
          All books of the practice
        </Go>
      </p>
    </main>
  );
}
