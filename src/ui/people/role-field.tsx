import { ROLES, ROLE_FACTS, type Role } from '@/core/access/roles';
import { Field } from '../parts/field';

export const RoleField = ({ role, onRole }: { readonly role: Role; readonly onRole: (role: Role) => void }) => (
  <Field label="Is" hint={ROLE_FACTS[role].means}>
    {(ids) => (
      <select
        {...ids}
        value={role}
        className="select select-sm w-full"
        onChange={(event) => onRole(ROLES.find((one) => one === event.target.value) ?? role)}
      >
        {ROLES.map((one) => (
          <option key={one} value={one}>
            {ROLE_FACTS[one].label}
          </option>
        ))}
      </select>
    )}
  </Field>
);

export const ChartsField = ({
  charts,
  onCharts,
}: {
  readonly charts: boolean;
  readonly onCharts: (charts: boolean) => void;
}) => (
  <label className="flex items-center gap-2 text-sm">
    <input
      type="checkbox"
      className="checkbox checkbox-xs"
      checked={charts}
      onChange={(event) => onCharts(event.target.checked)}
    />
    May change charts of accounts
  </label>
);
