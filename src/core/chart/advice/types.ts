import type { Minor } from '../../money/minor';
import type { LegalForm } from '../../company/legal-form';
import type { Account, AccountId, ChartIndex } from '../account';
import type { AccountRole } from '../../ledger/classes';
import type { Answers } from '../composition/answers';
import type { ChartEdit } from '../edit';
import type { CodeScheme } from '../scheme';

/** What the advice is computed from. */
export interface TidyState {
  readonly chart: readonly Account[];
  readonly index: ChartIndex;
  readonly amounts: ReadonlyMap<AccountId, Minor>;
  /** Accounts that cannot be deleted because something uses them. */
  readonly used: ReadonlySet<AccountId>;
  readonly legalForm: LegalForm;
  /** What the company answered; null when its chart was not begun from answers. */
  readonly answers: Answers | null;
  readonly needed: readonly AccountRole[];
  readonly scheme: CodeScheme | null;
}

export type AdviceKind =
  | 'misfit-form'
  | 'misfit-answers'
  | 'near-duplicate'
  | 'catch-all'
  | 'single-assets'
  | 'no-pair'
  | 'missing'
  | 'code'
  | 'lone-child'
  | 'inactive-balance';

/** What one click does. */
export interface Fix {
  /** What the button says. */
  readonly label: string;
  readonly edits: readonly ChartEdit[];
  /** Accounts whose figures move into another one, which then goes; after the edits. */
  readonly merges: readonly { readonly from: AccountId; readonly into: AccountId }[];
}

export interface Advice {
  readonly kind: AdviceKind;
  /** Stable while its accounts stand: what was dismissed stays dismissed. */
  readonly key: string;
  /** What was found and why it matters, in one sentence. */
  readonly says: string;
  readonly accounts: readonly AccountId[];
  readonly fix: Fix;
}

export type Advise = (state: TidyState) => readonly Advice[];
