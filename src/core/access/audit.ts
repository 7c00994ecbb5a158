/** What a practice has to be able to look up later, by its kind. */
export const AUDIT_KINDS = [
  { id: 'sign-in', label: 'Signing in' },
  { id: 'refused', label: 'Refused' },
  { id: 'rights', label: 'People and rights' },
  { id: 'signed', label: 'Signed' },
  { id: 'posted', label: 'Posted and corrected' },
  { id: 'books', label: 'Books deleted or archived' },
  { id: 'exported', label: 'Exported' },
] as const;
export type AuditKind = (typeof AUDIT_KINDS)[number]['id'];

export const auditLabel = (kind: AuditKind): string => AUDIT_KINDS.find(({ id }) => id === kind)?.label ?? kind;
