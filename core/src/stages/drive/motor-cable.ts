import { say, type Text } from '../../kernel/text.ts';
import { interpolate } from '../../kernel/numeric.ts';
import { reflections, riseTimes, windingWithstand } from '../../kernel/tables/index.ts';
import { PRACTICE, quantity, textValue, type Value } from '../../kernel/value.ts';
import { inverterStatement } from '../nameplate/inverter.ts';
import type { DriveStageInput } from './drive-stage-input.ts';
import { brakeVoltage } from './braking.ts';
import type { Report } from './findings.ts';
import type { DriveValues } from './values.ts';

/** m/s of a wave along a motor cable, 140 to 180 by its insulation. From memory. */
export const WAVE_SPEED = 150e6;
/** Several pulses meet on a cable of so many critical lengths with a carrier above this, Hz. Common practice, no published source. */
const MEETING = { lengths: 4, carrier: 8000, multiple: 2.5 } as const;
/** m; a dV/dt filter stands at the drive up to here. Common practice, no published source. */
const LONGEST_DVDT = 300;
/** Share of the voltage each filter takes, and of what passes that it turns into heat. Common practice, no published source. */
const FILTERS = {
  none: { drop: 0, loss: 0 },
  reactor: { drop: 0.03, loss: 0.003 },
  'dV/dt': { drop: 0.015, loss: 0.004 },
  sine: { drop: 0.08, loss: 0.0075 },
} as const;
export type Filter = keyof typeof FILTERS;

export const filterNames = {
  none: 'none',
  reactor: 'output reactor',
  'dV/dt': 'dV/dt filter',
  sine: 'sine filter',
} as const satisfies Record<Filter, string>;

/** Peak behind a dV/dt filter over the dc link, and the V it promises up to a system voltage. Common practice; the filter’s data decide. */
const SLOWER = { ofLink: 1.5, promised: 1000, system: 500 } as const;
/** Peak behind a sine filter over that of the sine. Common practice. */
const RIPPLE = 1.1;

/** V that a winding bears of which nothing is known. Common practice, no published source. */
const SILENT = 1000;
/** W below which the charging current of a long shielded cable counts. Common practice, no published source. */
const SMALL = 4000;

const POWERS = reflections.rows.map((row) => Math.log(Number(row['kw'])));
const REFLECTIONS = reflections.rows.map((row) => Number(row['reflection']));

/** Share of a voltage step that a motor of `power` W reflects. */
export const reflection = (power: number): number => interpolate(POWERS, REFLECTIONS, Math.log(power / 1000));

/** Length, m, from which on a step of `riseTime` s is reflected whole: the wave is there and back within it. */
export const criticalLength = (riseTime: number): number => (WAVE_SPEED * riseTime) / 2;

/** A cable and what is sent along it. */
export interface Step {
  /** Of the dc link, V. */
  readonly volts: number;
  readonly reflection: number;
  /** s */
  readonly riseTime: number;
  /** Hz */
  readonly carrier: number;
}

/** Peak at the end of `length` m of cable, V: V·(1 + Γ·min(1, l/l_c)); where pulses meet 2.5 V. Never falls with length. */
export function peakAt(length: number, { volts, reflection: share, riseTime, carrier }: Step): number {
  const critical = criticalLength(riseTime);
  if (length > MEETING.lengths * critical && carrier > MEETING.carrier) return MEETING.multiple * volts;
  return volts * (1 + share * Math.min(1, length / critical));
}

/** Peak over the length of the cable, for the picture. */
export interface LeadPicture {
  readonly lengths: readonly number[];
  readonly peaks: readonly number[];
  readonly length: number | undefined;
  readonly critical: number;
  /** m; the rule of the site. */
  readonly rule: number;
  readonly withstand: number;
}

export interface MotorCable {
  readonly values: Partial<DriveValues>;
  readonly filter: Filter;
  /** Drawn when it is asked for. */
  readonly picture: () => LeadPicture;
  /** Whether what the winding bears is known. */
  readonly proven: boolean;
  /** Peak that reaches the winding, V; undefined without a length. */
  readonly terminalPeakVoltage: number | undefined;
}

const COMMON_EDGE = Number(riseTimes.row('IGBT, common')?.['t_typical']) * 1e-6;

/** Hz where nothing is typed. Common practice, no published source. */
export const USUAL_CARRIER = 4000;

const riseTimeOf = ({ brief, item }: DriveStageInput): Value =>
  brief.given.drive.riseTime ??
  (item?.riseTime === undefined
    ? quantity(COMMON_EDGE, 'riseTime', {
        origin: 'recalled',
        source: `Common power transistors; ${riseTimes.source}`,
        note: riseTimes.doubt(riseTimes.row('IGBT, common') ?? {}, 't_typical'),
      })
    : quantity(item.riseTime, 'riseTime', { origin: 'looked up', source: 'catalogue' }));

/** What the winding bears, and whether anybody said so. */
function withstandOf({ brief, pick, motor }: DriveStageInput): { readonly value: Value; readonly proven: boolean } {
  const typed = brief.given.drive.windingPeak;
  if (typed) return { value: typed, proven: true };
  const made = pick.chosenMotor;
  const statement = made
    ? inverterStatement(made.item.inverterDuty ? 'inverter duty' : 'general purpose', motor.voltage, undefined, 0)
    : inverterStatement(brief.job.nameplate.inverter, motor.voltage, undefined, 0);
  const { withstand } = statement;
  if (!withstand)
    return {
      value: quantity(SILENT, 'voltage', {
        origin: 'estimated',
        source: PRACTICE,
        assumes: 'nameplate.inverter',
        note: 'The plate says nothing; a winding of which nothing is known is taken to bear this much.',
      }),
      proven: false,
    };
  const row = windingWithstand.row(withstand.part, '600 or less');
  return {
    value: quantity(withstand.peak, 'voltage', {
      origin: 'recalled',
      source: windingWithstand.source,
      note: row && windingWithstand.doubt(row, withstand.part === 31 ? 'peak_times_rated' : 'peak_volts'),
    }),
    proven: true,
  };
}

/** Volts of the dc link: √2 of the line, or where the brake chopper holds it. */
function linkVolts({ brief, voltage, item }: DriveStageInput): Value {
  const chops = brief.job.starting.braking === 'chopper';
  const own = Math.SQRT2 * voltage.value;
  return quantity(chops ? Math.max(own, brakeVoltage(voltage.value, item)) : own, 'voltage', {
    formula: chops ? 'V_b' : '\\sqrt2\\,V',
    from: { V: voltage },
    source: chops ? `Where the chopper holds it, ${PRACTICE}` : 'Six-pulse bridge without load',
  });
}

/** Length of the cable, what it does to the winding, and the filter that mends it. */
export function motorCableOf(driven: DriveStageInput, report: Report): MotorCable {
  const { brief, motor } = driven;
  const { lead: length } = brief.given.drive;
  const edge = riseTimeOf(driven);
  const link = linkVolts(driven);
  const share = reflection(motor.power);
  const carrier = brief.given.drive.carrier?.value ?? USUAL_CARRIER;
  const step = { volts: link.value, reflection: share, riseTime: edge.value, carrier };
  const critical = criticalLength(edge.value);
  const { value: withstand, proven } = withstandOf(driven);
  const gamma = quantity(share, 'fraction', { origin: 'recalled', source: reflections.source });
  const peak =
    length &&
    quantity(peakAt(length.value, step), 'voltage', {
      origin: 'estimated',
      formula: '\\hat V = V_{dc}\\,(1 + \\Gamma\\,\\min(1, \\ell/\\ell_c))',
      from: { 'V_{dc}': link, '\\Gamma': gamma, '\\ell': length, t_r: edge },
      source: 'Reflected wave; reflection and speed of the wave from memory',
      note: 'At the terminals of the motor, without a filter.',
    });
  const filter = filterFor({
    driven,
    peak: peak?.value,
    length: length?.value,
    withstand: withstand.value,
    link: link.value,
  });
  const behind = behindFilter(filter, link.value, driven.voltage.value, peak?.value);
  checkLead({ driven, peak, withstand, filter, behind, report });
  const { drop } = FILTERS[filter];
  return {
    filter,
    proven,
    terminalPeakVoltage: behind,
    picture: () => pictureOf(driven, step, withstand.value),
    values: {
      riseTime: edge,
      criticalLength: quantity(critical, 'altitude', {
        formula: '\\ell_c = v\\,t_r/2',
        from: { t_r: edge },
        source: `v = 150 m/µs, from memory (140 to 180)`,
      }),
      windingWithstand: withstand,
      ...(peak ? { peakVoltage: peak } : {}),
      ...(peak ? { filter: filterValue(filter, driven, peak, withstand) } : {}),
      ...(peak && behind !== undefined && filter !== 'none'
        ? {
            filteredPeak: quantity(behind, 'voltage', {
              origin: 'estimated',
              evidence: 'assumed',
              from: { 'V_{dc}': link },
              source: PRACTICE,
              note: 'The filter’s own data decide.',
            }),
          }
        : {}),
      ...(drop > 0 && peak
        ? {
            filterDrop: quantity(drop, 'fraction', {
              origin: 'estimated',
              source: PRACTICE,
              note: 'The filter’s own data decide.',
            }),
          }
        : {}),
    },
  };
}

function pictureOf({ brief }: DriveStageInput, step: Step, withstand: number): LeadPicture {
  const length = brief.given.drive.lead?.value;
  const critical = criticalLength(step.riseTime);
  const rule = brief.practice.leadRule.value;
  const end = 1.25 * Math.max(length ?? 0, rule, 2 * critical);
  const meets = MEETING.lengths * critical;
  // Straight between its corners; a few points more for who reads them off.
  const lengths = [...Array.from({ length: 13 }, (_, at) => (end * at) / 12), critical, meets, meets * 1.001]
    .filter((each) => each <= end)
    .toSorted((p, q) => p - q);
  return { lengths, peaks: lengths.map((each) => peakAt(each, step)), length, critical, rule, withstand };
}

interface Asked {
  readonly driven: DriveStageInput;
  readonly peak: number | undefined;
  readonly length: number | undefined;
  readonly withstand: number;
  /** V of the dc link. */
  readonly link: number;
}

/** The filter typed, or the least that brings the peak under what the winding bears and keeps the rule of the site. */
function filterFor({ driven, peak, length, withstand, link }: Asked): Filter {
  const { brief, voltage } = driven;
  const { filter } = brief.job.drive;
  if (filter !== 'auto') return filter;
  if (length === undefined || peak === undefined) return 'none';
  if (peak <= withstand && length <= brief.practice.leadRule.value) return 'none';
  const enough = length <= LONGEST_DVDT && behindSlower(link, voltage.value) <= withstand * 1.0001;
  return enough ? 'dV/dt' : 'sine';
}

/** Peak behind a dV/dt filter, V: one is ordered that promises its voltage where the supply is low enough for it. */
const behindSlower = (link: number, system: number): number =>
  Math.min(SLOWER.ofLink * link, system <= SLOWER.system ? SLOWER.promised : Number.POSITIVE_INFINITY);

/** Peak at the winding with the filter, V. */
function behindFilter(filter: Filter, link: number, volts: number, peak: number | undefined): number | undefined {
  if (filter === 'none' || filter === 'reactor') return peak;
  return filter === 'sine' ? RIPPLE * Math.SQRT2 * volts : behindSlower(link, volts);
}

function filterValue(filter: Filter, { brief }: DriveStageInput, peak: Value, withstand: Value): Value<Text> {
  const rule = brief.practice.leadRule;
  return textValue(filterNames[filter], {
    origin: 'chosen',
    from: { '\\hat V': peak, V_w: withstand, '\\ell': brief.given.drive.lead, '\\ell_{rule}': rule },
    source: brief.job.drive.filter === 'auto' ? PRACTICE : 'chosen in this job',
    note:
      brief.job.drive.filter === 'auto'
        ? 'None where the peak stays under what the winding bears and the cable within the rule of the site; a dV/dt filter to 300 m; beyond a sine filter.'
        : undefined,
  });
}

interface Found {
  readonly driven: DriveStageInput;
  readonly peak: Value | undefined;
  readonly withstand: Value;
  readonly filter: Filter;
  readonly behind: number | undefined;
  readonly report: Report;
}

function checkLead(found: Found): void {
  const { driven, peak, withstand, filter, behind, report } = found;
  const { brief, motor, voltage } = driven;
  const { lead } = brief.given.drive;
  if (!lead || !peak || behind === undefined) return;
  const over = behind > withstand.value * 1.0001;
  const mend = (label: string, to: Filter) => ({ label, set: { 'drive.filter': to } });
  if (over)
    report(
      'drive.winding-peak',
      say`${filter === 'none' || filter === 'reactor' ? say`The peak terminal voltage over ${lead} of motor cable is ${peak}` : `Even with the ${filter} filter the peak terminal voltage is ${Math.round(behind)} V`}, winding withstand ${withstand}.`,
      {
        mends: [
          ...(filter === 'none' || filter === 'reactor' ? [mend('Add a dV/dt filter', 'dV/dt')] : []),
          ...(filter === 'sine' ? [] : [mend('Add a sine filter', 'sine')]),
        ],
      },
    );
  else if (brief.job.drive.filter === 'auto' && filter !== 'none')
    report(
      'drive.filter-needed',
      peak.value > withstand.value
        ? say`The peak terminal voltage over ${lead} of motor cable is ${peak}, winding withstand ${withstand}: a ${filter} filter is required.`
        : say`The motor cable of ${lead} exceeds the site limit of ${brief.practice.leadRule} without filter: a ${filter} filter is selected.`,
    );
  if (filter === 'none' && !over && lead.value > brief.practice.leadRule.value)
    report(
      'drive.lead-rule',
      say`The motor cable of ${lead} exceeds the site limit of ${brief.practice.leadRule} without filter.`,
    );
  if (filter === 'reactor')
    report(
      'drive.reactor-rings',
      'An output reactor lowers the voltage rise but can resonate with the cable: the peak is not reduced.',
    );
  const charges = brief.job.drive.leadKind === 'shielded' && lead.value > brief.practice.leadRule.value;
  if (motor.power < SMALL && charges)
    report(
      'drive.small-drive-long-lead',
      say`The charging current of ${lead} of shielded cable can trip a drive of this size.`,
    );
  checkSine(found, voltage.value);
  const carrier = brief.given.drive.carrier;
  if (carrier && filter === 'dV/dt' && carrier.value > CARRIERS['dV/dt'])
    report(
      'drive.filter-carrier',
      say`dV/dt filters overheat above about ${CARRIERS['dV/dt'] / 1000} kHz; ${carrier} is set.`,
    );
  if (carrier && filter === 'sine' && carrier.value < CARRIERS.sine)
    report(
      'drive.filter-carrier',
      say`A sine filter wants at least about ${CARRIERS.sine / 1000} kHz, or it resonates; ${carrier} is set.`,
    );
}

/** Hz that filters bear at most, or want at least. Common practice, no published source; the filter’s data decide. */
const CARRIERS = { 'dV/dt': 6000, sine: 4000 } as const;

/** A sine filter takes volts, so the motor reaches rated flux only below rated frequency. */
function checkSine({ driven: { share, motor }, filter, report }: Found, system: number): void {
  if (filter !== 'sine' || share === undefined) return;
  const left = Math.min(1, (system * (1 - FILTERS.sine.drop)) / motor.voltage);
  if (share <= left) return;
  report(
    'drive.sine-torque',
    `Behind a sine filter about ${Math.round(left * 100)} % of the voltage is left at full speed; the load asks for ${Math.round(share * 100)} % of rated torque there.`,
  );
}

/** Share of what passes that a filter turns into heat. */
export const filterLoss = (filter: Filter): number => FILTERS[filter].loss;
