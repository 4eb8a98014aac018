import { amount, say } from '../../kernel/text.ts';
import type { StarterPart } from '../../catalogue/catalogue.ts';
import { PRACTICE, quantity, textValue, type Value } from '../../kernel/value.ts';
import { isAC4Duty } from '../starting/ac4-duty.ts';
import type { Circuit } from './protection-input.ts';
import type { Report } from './findings.ts';
import type { StarterValues } from './starter-values.ts';

/** A coil that is fed with less than this share lets go: IEC 60947-4-1, from memory. */
const LETS_GO = 0.75;
/** F/m of a control lead. From memory; common practice, no published source. */
const LEAD = 0.3e-9;
/** V of control by the rules of a school: NFPA 79 and IEC 60204-1, from memory. */
const VOLTS = { NEMA: 120, IEC: 230 } as const;

/** What feeds the coils, whether it holds them while the start pulls the bus down, and how long their contacts last. */
export function controlOf(circuit: Circuit, report: Report): Partial<StarterValues> {
  const { brief, supply } = circuit;
  const { school, protection } = brief.job;
  const fed = {
    auto: `${VOLTS[school]} V ac from a transformer in the starter`,
    dc: '24 V dc from a supply of its own',
    line: say`the line, ${supply.values.voltage ?? 'its voltage is not known'}`,
  } as const;
  const coil = protection.control === 'dc' ? undefined : coilOf(circuit, report);
  const power = protection.control === 'auto' ? powerOf(circuit) : undefined;
  const lead = protection.control === 'dc' ? undefined : leadOf(circuit, report);
  const life = lifeOf(circuit);
  return {
    controlVoltage: textValue(fed[protection.control], {
      origin: 'chosen',
      source: `NFPA 79, IEC 60204-1 (from memory); which of them: ${PRACTICE}`,
    }),
    ...(coil ? { coilVoltage: coil } : {}),
    ...(power ? { controlPower: power } : {}),
    ...(lead ? { controlLeadMax: lead } : {}),
    ...(life ? { contactLife: life } : {}),
  };
}

/** Share of the voltage left at coils that hang on the bus. */
function coilOf(circuit: Circuit, report: Report): Value | undefined {
  const dip = circuit.starting.values.startingDip;
  if (!dip) return undefined;
  const left = quantity(1 - dip.value, 'fraction', {
    origin: 'derived',
    formula: 'u = 1 - d',
    from: { d: dip },
    source: 'definition',
    note: 'Of what it is fed with at rest.',
  });
  if (left.value < LETS_GO)
    report(
      'protection.coil-drops',
      say`The coil voltage during starting is ${left}, drop-out below ${amount(LETS_GO, 'fraction')}: the contactors open during the start.`,
      { mends: [{ label: 'Feed them with 24 V dc', set: { 'protection.control': 'dc' } }] },
    );
  return left;
}

const contactorsOf = ({ pick }: Circuit): readonly StarterPart[] =>
  (pick.starter?.parts ?? []).map(({ part }) => part).filter(({ kind }) => kind === 'contactor');

/** VA that the transformer gives while the largest coil pulls in and the others are held. */
function powerOf(circuit: Circuit): Value | undefined {
  const coils = contactorsOf(circuit).map(({ coilSealed, coilInrush }) => ({ sealed: coilSealed, inrush: coilInrush }));
  if (coils.length === 0) return undefined;
  let most = 0;
  let held = 0;
  let heldByIt = 0;
  for (const { sealed, inrush } of coils) {
    if (sealed === undefined || inrush === undefined) return undefined;
    held += sealed;
    if (inrush > most) [most, heldByIt] = [inrush, sealed];
  }
  return quantity(held - heldByIt + most, 'apparentPower', {
    origin: 'looked up',
    formula: 'S = \\hat S + \\textstyle\\sum S_h',
    from: {
      '\\hat S': quantity(most, 'apparentPower', {
        origin: 'looked up',
        source: 'catalogue',
      }),
    },
    source: `coils by the catalogue; the sum: ${PRACTICE}`,
    note: 'Within a twentieth of its voltage, at a power factor of 0.3 to 0.5; lamps and timers come on top.',
  });
}

/** m of lead whose capacitance just lets the coil that is held by the least fall off: C = 500 P/V² · 50/f, µF (from memory). */
function leadOf(circuit: Circuit, report: Report): Value | undefined {
  const { brief, supply } = circuit;
  const { school, protection } = brief.job;
  const held = contactorsOf(circuit).map(({ coilSealed }) => coilSealed);
  const least = held.reduce<number | undefined>(
    (most, each) => (each === undefined ? most : Math.min(most ?? each, each)),
    undefined,
  );
  const volts = protection.control === 'line' ? supply.values.voltage?.value : VOLTS[school];
  if (least === undefined || volts === undefined) return undefined;
  const hertz = supply.values.frequency?.value ?? (school === 'NEMA' ? 60 : 50);
  const capacitance = ((500 * least) / volts ** 2) * (50 / hertz) * 1e-6;
  const longest = quantity(capacitance / LEAD, 'altitude', {
    origin: 'estimated',
    formula: '\\ell = \\dfrac{500\\,P}{V^2}\\cdot\\dfrac{50}{f}\\Big/ 0.3',
    from: {
      P: quantity(least, 'apparentPower', { origin: 'looked up', source: 'catalogue' }),
      V: quantity(volts, 'voltage', { source: PRACTICE }),
      f: quantity(hertz, 'frequency', { source: PRACTICE }),
    },
    source: `0.3 µF/km and the formula from memory: ${PRACTICE}`,
    note: 'A longer one may hold the coil in after its contact has opened.',
  });
  const typed = brief.given.protection.controlLead;
  if (typed && typed.value > longest.value)
    report(
      'protection.lead-holds',
      say`The control cable of ${typed} can hold the contactor closed by its capacitance, maximum ${longest}.`,
      { mends: [{ label: 'Feed it with 24 V dc', set: { 'protection.control': 'dc' } }] },
    );
  return longest;
}

/** Operations that the contacts of the contactor last which wears first: 1/N = (1 − c)/N₃ + c/N₄. */
function lifeOf(circuit: Circuit): Value | undefined {
  const { brief } = circuit;
  const hard = isAC4Duty(brief.job.starting);
  const typed = brief.given.protection.hardShare;
  const share = hard ? (typed?.value ?? 1) : 0;
  const lives = contactorsOf(circuit).map(({ lifeStarted, lifeInched }) =>
    lifeStarted === undefined || (share > 0 && lifeInched === undefined)
      ? undefined
      : { started: lifeStarted, inched: lifeInched ?? lifeStarted },
  );
  if (lives.length === 0 || lives.includes(undefined)) return undefined;
  const lasts = (each: (typeof lives)[number]): number =>
    each ? 1 / ((1 - share) / each.started + share / each.inched) : Number.POSITIVE_INFINITY;
  const first = lives.reduce((least, each) => (lasts(each) < lasts(least) ? each : least));
  const known = (value: number): Value => quantity(value, 'count', { origin: 'looked up', source: 'catalogue' });
  return quantity(lasts(first), 'count', {
    origin: 'looked up',
    formula: 'N = \\dfrac{1}{(1-c)/N_3 + c/N_4}',
    from: {
      N_3: known(first?.started ?? 0),
      N_4: known(first?.inched ?? 0),
      c: quantity(share, 'fraction', { source: PRACTICE }),
    },
    source: `catalogue, at its rated current; the sum of both wears: ${PRACTICE}`,
    note: hard && !typed ? 'Every start is taken as inched or plugged.' : undefined,
  });
}
