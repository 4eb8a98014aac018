import { PRACTICE } from '../../kernel/value.ts';
import { declared, type ReportOf } from '../declared-finding.ts';

/** What this stage may find, by its code. */
export const findings = declared({
  'money.life': {
    severity: 'note',
    basis: PRACTICE,
    clear: 'Type what is replaced on the way and how often, or count fewer years.',
    field: 'money.replacement',
  },
  'money.may-turn': {
    severity: 'caution',
    basis: PRACTICE + ', one figure at a time',
    clear: 'Make that figure surer before money is spent, or look at what may turn out otherwise.',
    field: 'money.energyPrice',
  },
  'money.never-pays': {
    severity: 'caution',
    basis: 'Profile of this job',
    clear: 'Choose a starter, unless start or process need the drive.',
    field: 'starting.method',
  },
  'money.price-zero': {
    severity: 'caution',
    basis: 'Energy that costs nothing saves nothing',
    clear: 'Type what a kilowatt-hour costs, or leave it empty.',
    field: 'money.energyPrice',
  },
  'money.demand-undone': {
    severity: 'caution',
    basis: 'Demand is charged by the highest mean of each month',
    clear: 'Keep full flow out of the months, or count the energy alone.',
    field: 'supply.demandPrice',
  },
  'money.repair-dear': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Buy the new motor, or let another shop quote.',
    field: 'money.repairPrice',
  },
  'money.repair-hazardous': {
    severity: 'caution',
    basis: 'A repair that alters an explosion-protected motor ends its certificate',
    clear: 'Let a shop that is certified for it decide.',
    field: 'money.repairPrice',
  },
  'money.currency': {
    severity: 'stop',
    basis: 'Amounts of two currencies do not add up',
    clear: 'Type a rate of exchange, or set the job’s currency to the catalogue’s.',
    field: 'money.exchangeRate',
  },
  'money.part-missing': {
    severity: 'caution',
    basis: 'A missing price is not zero',
    clear: 'Add a catalogue with these parts.',
    field: 'starting.method',
  },
});

export type Report = ReportOf<typeof findings>;
