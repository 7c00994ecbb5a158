'use server';

import type { z } from 'zod';
import type { Result } from '@/core/base/result';
import { type RatesPreview, fetchServiceRates, type serviceWish } from './rates-in';

/** Asks the rate service, from the currencies sheet. */
export async function askRateService(input: z.input<typeof serviceWish>): Promise<Result<RatesPreview>> {
  return fetchServiceRates(input);
}
