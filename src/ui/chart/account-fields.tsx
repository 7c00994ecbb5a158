import type { Account } from '@/core/chart/account';
import { called } from '@/core/chart/account';
import { ACCOUNT_CLASSES, ACCOUNT_ROLES, type AccountClass, type AccountType, typeOf } from '@/core/chart/classes';

/** The lines of the statements that an account may stand on; those of one type when its heading fixes the type. */
export const ClassOptions = ({ type }: { readonly type?: AccountType | undefined }) =>
  ACCOUNT_CLASSES.filter((one) => type === undefined || one.type === type).map((one) => (
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
  readonly forClass: AccountClass;
  readonly not?: number;
}) => (
  <>
    <option value="">at the top, under no heading</option>
    {chart
      .filter((one) => one.heading && one.id !== not && typeOf(one.class) === typeOf(forClass))
      .map((one) => (
        <option key={one.id} value={one.id}>
          {called(one)}
        </option>
      ))}
  </>
);

export const RoleOptions = ({ type }: { readonly type: AccountType }) => (
  <>
    <option value="">none</option>
    {ACCOUNT_ROLES.filter((one) => one.type === type).map((one) => (
      <option key={one.id} value={one.id}>
        {one.label}
      </option>
    ))}
  </>
);
