import Link from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link inside the application that fetches its page when it is followed, not when it comes into sight: pages show what
 * stands in the books at that moment, so fetching them ahead would only be thrown away.
 */
export const Go = (properties: ComponentProps<typeof Link>) => <Link prefetch={false} {...properties} />;
