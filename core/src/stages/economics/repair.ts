import { figures, say, series, type Text } from '../../kernel/text.ts';
import { HOUR, YEAR } from '../../kernel/constants.ts';
import { PRACTICE, quantity, textValue, type Value } from '../../kernel/value.ts';
import { takenOnLine, type LosingMotor } from '../../motor/at-part-load.ts';
import { classMet } from '../../motor/efficiency-class.ts';
import type { Motor } from '../../motor/typical.ts';
import { fedMotor } from '../operating-profile/input-power.ts';
import type { EconomicsInput } from './economics-input.ts';
import { growingAnnuity } from './cash-flow.ts';
import type { Report } from './findings.ts';
import { studyPeriod } from './study-period.ts';
import type { MoneyValues } from './values.ts';

/** Efficiency a rewound motor has lost where the shop does not test to good practice (rewind study of 2003, from memory). */
const REWIND_LOSS = 0.005;
/** Motors below this, W, in a standard frame are not rewound. Common practice, no published source. */
const SMALL = 15_000;
/** s a year above which a motor below today’s class is replaced. Common practice, no published source. */
const LONG_HOURS = 4000 * HOUR;

type Repair = Pick<MoneyValues, 'repairVerdict' | 'repairSaving' | 'repairWorth' | 'repairEven'>;

/** Whether the failed motor is mended or a new one bought: by the rules of the trade, and by the numbers where none decides. */
export function repairOrReplace(on: EconomicsInput, rate: number, price: Value, report: Report): Repair {
  const { brief, nameplate, pick } = on;
  const { job, given, practice } = brief;
  const { repairPrice } = given.money;
  const old = nameplate.motor;
  const fresh = pick.chosenMotor;
  if (job.situation.kind !== 'replace' || !repairPrice || !old || !fresh || !pick.motor) return {};
  const cost = fresh.item.price * rate;
  const share = cost > 0 ? repairPrice.value / cost : 1;
  if (share > practice.repairShare.value)
    report(
      'money.repair-dear',
      say`The repair costs ${figures(share * 100, 2)} % of ${fresh.item.name}; above ${practice.repairShare} a standard motor is replaced.`,
    );
  if (job.place.hazardous === 'yes')
    report('money.repair-hazardous', 'In a hazardous area only a shop certified for it may mend the motor.');
  const saved = savedEnergy(old, pick.motor, on);
  const worth = worthOf(cost - repairPrice.value, saved?.value, on, price);
  const hours = on.profile.values.hours?.value ?? 0;
  const replace = [
    ...(share > practice.repairShare.value ? [say`the repair costs ${figures(share * 100, 2)} % of a new one`] : []),
    ...(old.power < SMALL && !job.money.specialMotor ? ['it is small and of a standard frame'] : []),
    ...(hours > LONG_HOURS && isBelowToday(old, on)
      ? ['it is below today’s class and runs more than 4000 h a year']
      : []),
    ...(job.money.coreDamaged ? ['its core is damaged'] : []),
    ...(job.money.rewinds === 'unknown' ? ['it would be rewound a second time'] : []),
  ];
  const { repairDays } = given.money;
  const soon = repairDays && repairDays.value < fresh.item.leadDays * 24 * HOUR;
  const mend = [
    ...(job.money.specialMotor ? ['its frame or shaft is special'] : []),
    ...(soon ? [say`it is back in ${repairDays}, a new one here in ${fresh.item.leadDays} days`] : []),
  ];
  return {
    ...(saved ? { repairSaving: saved } : {}),
    ...(worth ?? {}),
    repairVerdict: textValue(verdict(replace, mend, worth?.repairWorth), {
      origin: 'chosen',
      source: PRACTICE,
      note: REWOUND(job.money.goodShop === true),
    }),
  };
}

const REWOUND = (tested: boolean): string =>
  tested
    ? 'The shop tests core and losses: a rewound motor keeps its efficiency.'
    : 'A rewound motor is taken to have lost half a point of efficiency.';

const isBelowToday = ({ power, poles, frequency, efficiency }: Motor, { brief }: EconomicsInput): boolean => {
  const { school } = brief.job;
  const met = classMet(efficiency, { power, poles, frequency, school })?.name;
  return met !== 'premium' && met !== 'IE3' && met !== 'IE4';
};

function verdict(replace: readonly Text[], mend: readonly Text[], worth: Value | undefined): Text {
  if (replace.length > 0 && mend.length > 0)
    return say`Open: for a new one, ${series(replace, ', ')}; for a repair, ${series(mend, ', ')}`;
  if (replace.length > 0) return say`Replace: ${series(replace, ', ')}`;
  if (mend.length > 0) return say`Repair: ${series(mend, ', ')}`;
  if (!worth) return 'Open: neither rule nor number decides';
  return worth.value > 0
    ? 'Replace: the new motor is worth more than it costs over the repair'
    : 'Repair: the new motor does not earn what it costs more';
}

/** Energy of a year, J, that the repaired motor would lose more than the new one, on the line at the loads of the profile. */
function savedEnergy(old: Motor, fresh: Motor, { brief, profile }: EconomicsInput): Value | undefined {
  const { points } = profile;
  if (points.length === 0) return undefined;
  const loss = brief.job.money.goodShop ? 0 : REWIND_LOSS;
  const repaired = { ...fedMotor(old, brief, false), ...lossesOf(old, loss) };
  const other = fedMotor(fresh, brief, brief.job.profile.efficiencyBasis !== 'nominal');
  const saved = points.reduce((sum, { shaftThrottled, shaftControlled, hours }) => {
    const shaft = shaftThrottled ?? shaftControlled;
    if (shaft <= 0) return sum;
    return sum + hours * (takenOnLine(repaired, shaft).input - takenOnLine(other, shaft).input);
  }, 0);
  return quantity(saved, 'energy', {
    origin: 'estimated',
    formula: '\\sum_i t_i\\,(P_{in,repaired} - P_{in,new})',
    from: { t: profile.values.hours },
    source: 'Losses by the fitted circuits; the new motor by its guaranteed minimum',
    note: REWOUND(brief.job.money.goodShop === true),
  });
}

/** The old motor as repaired: its losses those of a lower efficiency. */
const lossesOf = ({ efficiency }: Motor, loss: number): Pick<LosingMotor, 'efficiencyMinimum' | 'guaranteed'> => ({
  efficiencyMinimum: efficiency - loss,
  guaranteed: true,
});

/** Present value of the saving less what the new motor costs more, and the hours from which it is worth it. */
function worthOf(
  extra: number,
  saved: number | undefined,
  { brief, profile }: EconomicsInput,
  price: Value,
): Pick<Repair, 'repairWorth' | 'repairEven'> | undefined {
  const hours = profile.values.hours;
  if (saved === undefined || !hours) return undefined;
  const factor = growingAnnuity(studyPeriod(brief));
  const present = saved * price.value * factor;
  const how = { origin: 'estimated' as const, from: { c: price, t: hours, r: brief.practice.discountRate } };
  const even = present > 0 && extra > 0 ? (hours.value * extra) / present : undefined;
  return {
    repairWorth: quantity(present - extra, 'money', {
      ...how,
      formula: '\\Delta E\\,c\\,a - (N - R)',
      source: 'Net present value of the new motor against the repair',
    }),
    ...(even !== undefined && even <= YEAR
      ? {
          repairEven: quantity(even, 'time', {
            ...how,
            formula: 't\\,\\dfrac{N - R}{\\Delta E\\,c\\,a}',
            source: 'definition',
          }),
        }
      : {}),
  };
}
