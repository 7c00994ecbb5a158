import { withArticle } from '../base/result';
import { called } from '../chart/account';
import { typeOf } from '../ledger/classes';
import { companyChecklist } from '../company/facts';
import { PARTS, partLabel, partOfRole } from '../company/parts';
import { taxNumberProblems } from '../company/tax';
import { type Aside, type Check, type ProofState, asideWhere } from './check';

const taxOff = (state: ProofState): Aside | undefined =>
  asideWhere(!state.facts.parts.includes('sales-tax'), 'does not apply', 'Sales taxes are not in use.');

export const COMPANY_CHECKS = {
  'company.required': {
    severity: 'warning',
    title: 'What the company stage requires is answered',
    why: 'Tax accounts, returns and reports are set up from these answers.',
    find: (state) =>
      companyChecklist(state.facts, true)
        .filter((item) => item.kind === 'required' && !item.done)
        .map((item) => ({
          what: `${item.label}: not answered; it is needed for ${item.neededFor}.`,
          place: { stage: 'company' },
        })),
  },
  'company.tax-number': {
    severity: 'warning',
    title: 'The tax number has its country’s shape',
    why: 'A wrong number on an invoice makes the customer’s tax deduction invalid.',
    aside: (state) =>
      taxOff(state) ??
      asideWhere(
        state.facts.taxRegistered === 'no',
        'does not apply',
        'The company is not registered for sales tax.',
      ) ??
      asideWhere(state.facts.taxNumber === '', 'not asked', 'The company has no tax number yet.'),
    find: (state) =>
      state.facts.taxRegistered !== 'yes'
        ? []
        : taxNumberProblems(state.facts.taxNumber, state.facts.country).map((one) => ({
            what: one.sentence ?? one.message,
            place: { stage: 'company' },
          })),
  },
  'company.tax-figures-unregistered': {
    severity: 'warning',
    title: 'Only a registered company owes sales tax',
    why: 'A balance of sales tax in the books of a company that is not registered is a mistake or a missed registration.',
    aside: (state) =>
      taxOff(state) ??
      asideWhere(state.facts.taxRegistered === 'yes', 'does not apply', 'The company is registered.') ??
      asideWhere(
        state.facts.taxRegistered !== 'no',
        'not asked',
        'Nobody has said whether the company is registered for sales tax.',
      ),
    find: (state) =>
      state.facts.taxRegistered !== 'no'
        ? []
        : state.accounts
            .filter((account) => account.role === 'tax' && (state.openings.get(account.id) ?? 0n) !== 0n)
            .map((account) => ({
              what: `${called(account)} has an opening balance, but the company is not registered.`,
              place: { stage: 'openings', account: account.id },
            })),
  },
  'company.parts-in-use': {
    severity: 'warning',
    title: 'Every part that holds data is in use',
    why: 'What belongs to a part that is off is nowhere in the interface, and nobody would see it.',
    find: (state) =>
      PARTS.filter((part) => !state.facts.parts.includes(part.id)).flatMap((part) =>
        state.accounts
          .filter((account) => account.active && account.role !== null && partOfRole(account.role) === part.id)
          .map((account) => ({
            what: `${called(account)}, ${withArticle(typeOf(account.classification))} account, belongs to ${partLabel(part.id).toLowerCase()}, which is off.`,
            place: { stage: 'company' },
          })),
      ),
  },
} as const satisfies Record<string, Check>;
