/** Ways in by link: an invitation, or another passphrase. */
export type LinkKind = 'invitation' | 'recovery';

/** How long a link holds. Whoever is invited may be away for a week; who has forgotten a passphrase sits and waits. */
export const LINKS: Readonly<Record<LinkKind, { readonly minutes: number; readonly holds: string }>> = {
  invitation: { minutes: 7 * 24 * 60, holds: 'seven days' },
  recovery: { minutes: 30, holds: 'thirty minutes' },
};
