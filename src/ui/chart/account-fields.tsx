import { type Currency } from '@/core/money/currency';
import type { Account } from '@/core/chart/account';
import { called } from '@/core/chart/account';
import {
  CLASSIFICATIONS,
  type Classification,
  type AccountRole,
  type AccountType,
  ROLE_IDS,
  roleFacts,
  typeOf,
} from '@/core/ledger/classes';
import { type Part, rolesWith } from '@/core/company/parts';

/** The lines of the statements that an account may stand on; those of one type when its heading fixes the type. */
export const ClassOptions = ({ type }: { readonly type?: AccountType | undefined }) =>
  CLASSIFICATIONS.filter((one) => type === undefined || one.type === type).map((one) => (
    <option key={one.id} value={one.id}>
      {one.one}
    </option>
  ));

/** Headings that an account of the class may stand under. */
export const HeadingOptions = ({
  chart,
  forClass,
  not,
}: {
  readonly chart: readonly Account[];
  readonly forClass: Classification;
  readonly not?: number;
}) => (
  <>
    <option value="">at the top, under no heading</option>
    {chart
      .filter((one) => one.heading && one.id !== not && typeOf(one.classification) === typeOf(forClass))
      .map((one) => (
        <option key={one.id} value={one.id}>
          {called(one)}
        </option>
      ))}
  </>
);

/** Roles that suit the type and belong to a part in use; the one that stands is offered in any case. */
export const RoleOptions = ({
  type,
  parts,
  own = null,
}: {
  readonly type: AccountType;
  readonly parts: readonly Part[];
  readonly own?: AccountRole | null;
}) => (
  <>
    <option value="">none</option>
    {ROLE_IDS.filter(
      (id) => id === own || (roleFacts(id).types.includes(type) && rolesWith(parts, [id]).length > 0),
    ).map((id) => (
      <option key={id} value={id}>
        {roleFacts(id).label}
      </option>
    ))}
  </>
);

/** The base currency and the foreign ones switched on. */
export const KeptInOptions = ({
  base,
  currencies,
}: {
  readonly base: Currency;
  readonly currencies: readonly Currency[];
}) => (
  <>
    <option value="">{base}, the base currency</option>
    {currencies.map((code) => (
      <option key={code} value={code}>
        {code}
      </option>
    ))}
  </>
);
