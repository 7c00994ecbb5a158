import { notFound } from 'next/navigation';
import { companyView } from '@/actions/company/views';
import { CompanySheet } from '@/ui/company/company-sheet';
import { idFrom } from '@/app/parameters';

export default async function CompanyPage({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await companyView(idFrom((await params).books));
  return view === undefined ? notFound() : <CompanySheet {...view} />;
}
