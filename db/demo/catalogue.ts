/**
 * The demo catalogue: invented makers and series. Figures come from the standards' tables with seeded scatter,
 * so that power, current, efficiency and torque of each item agree with each other.
 */
import type { CoordinatedCombination } from '@pilgrim/core/catalogue/coordinated-combination';
import { synchronousSpeed } from '@pilgrim/core/motor/synchronous';
import { referenceLoss } from '@pilgrim/core/stages/operating-profile/drive-loss';
import type { Catalogue, DriveItem, DrivePart, MotorItem, StarterPart } from '@pilgrim/core/catalogue/catalogue';
import { classEfficiency, type EfficiencyClass } from '@pilgrim/core/motor/efficiency-class';
import { horsepowerOf, standardPowers } from '@pilgrim/core/motor/standard-power';
import {
  estimatedPowerFactor,
  estimatedSlip,
  maximumLockedRotorCurrent,
  minimumBreakdownTorque,
  minimumLockedRotorTorque,
} from '@pilgrim/core/motor/typical';
import { standardFrame } from '@pilgrim/core/stages/nameplate/frame';
import { HORSEPOWER } from '@pilgrim/core/kernel/quantity/units';
import { fitCircuit, type FitTargets } from '@pilgrim/core/motor/fit-circuit';
import { codeLetters, motorBreakerRanges, nominalEfficiency, standardRatings } from '@pilgrim/core/kernel/tables/index';

type Random = () => number;

/** Mulberry32: a small published generator, enough for scatter that is the same on every machine. */
function seeded(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

const between = (random: Random, low: number, high: number): number => low + (high - low) * random();
const round = (value: number, digits = 3): number => Number(value.toPrecision(digits));

interface Series {
  readonly code: string;
  readonly maker: string;
  readonly series: string;
  readonly className: EfficiencyClass;
  readonly enclosure: MotorItem['enclosure'];
  readonly inverterDuty: boolean;
  readonly serviceFactor: number;
  readonly largest: number;
  readonly priceFactor: number;
  readonly longShaft?: boolean;
}

const hp = (value: number): number => value * HORSEPOWER;

const nemaSeries: readonly Series[] = [
  {
    code: 'cw',
    maker: 'Tarnwick',
    series: 'Causeway',
    className: 'premium',
    enclosure: 'TEFC',
    inverterDuty: false,
    serviceFactor: 1.15,
    largest: hp(250),
    priceFactor: 1,
  },
  {
    code: 'lm',
    maker: 'Brellow',
    series: 'Limekiln',
    className: 'premium',
    enclosure: 'TEFC',
    inverterDuty: true,
    serviceFactor: 1.15,
    largest: hp(250),
    priceFactor: 1.22,
    longShaft: true,
  },
  {
    code: 'hw',
    maker: 'Tarnwick',
    series: 'Hearth',
    className: 'premium',
    enclosure: 'ODP',
    inverterDuty: false,
    serviceFactor: 1.15,
    largest: hp(250),
    priceFactor: 0.78,
  },
  {
    code: 'st',
    maker: 'Vostry',
    series: 'Stile',
    className: 'energy efficient',
    enclosure: 'TEFC',
    inverterDuty: false,
    serviceFactor: 1.15,
    largest: hp(200),
    priceFactor: 0.82,
  },
  {
    code: 'sl',
    maker: 'Brellow',
    series: 'Sluice',
    className: 'premium',
    enclosure: 'washdown',
    inverterDuty: true,
    serviceFactor: 1.15,
    largest: hp(30),
    priceFactor: 1.6,
  },
];

const iecSeries: readonly Series[] = [
  {
    code: 'tp',
    maker: 'Tarnwick',
    series: 'Towpath',
    className: 'IE3',
    enclosure: 'TEFC',
    inverterDuty: false,
    serviceFactor: 1,
    largest: 200e3,
    priceFactor: 1,
  },
  {
    code: 'tr',
    maker: 'Brellow',
    series: 'Traverse',
    className: 'IE4',
    enclosure: 'TEFC',
    inverterDuty: true,
    serviceFactor: 1,
    largest: 200e3,
    priceFactor: 1.3,
  },
  {
    code: 'wk',
    maker: 'Vostry',
    series: 'Wicket',
    className: 'IE2',
    enclosure: 'TEFC',
    inverterDuty: false,
    serviceFactor: 1,
    largest: 160e3,
    priceFactor: 0.8,
  },
  {
    code: 'br',
    maker: 'Brellow',
    series: 'Brine',
    className: 'IE3',
    enclosure: 'washdown',
    inverterDuty: true,
    serviceFactor: 1,
    largest: 22e3,
    priceFactor: 1.7,
  },
];

const POLES = [2, 4, 6, 8] as const;

/** Frames above the standard assignment are each maker's affair; these are this catalogue's. */
const largeNemaFrame = (power: number, poles: number): string =>
  `${power > hp(180) ? '449' : '447'}T${poles === 2 ? 'S' : ''}`;
const smallNemaFrame = '56C';

function frameFor(power: number, poles: number, series: Series, school: 'NEMA' | 'IEC'): string | undefined {
  const standard = standardFrame(power, poles, series.enclosure === 'ODP', school);
  if (school === 'IEC') return standard;
  const frame =
    standard ?? (power < hp(1) ? smallNemaFrame : power > hp(100) ? largeNemaFrame(power, poles) : undefined);
  return series.longShaft && poles > 2 ? frame?.replace('TS', 'T') : frame;
}

/** NEMA nominal efficiencies are steps of MG 1 Table 12-10; IEC ones are free within a fraction of a point. */
function efficiencyFor(limit: number, school: 'NEMA' | 'IEC', random: Random): { nominal: number; minimum: number } {
  if (school === 'IEC') {
    const nominal = round(Math.min(0.985, limit + between(random, 0, 0.004)), 4);
    return { nominal, minimum: round(nominal - 0.15 * (1 - nominal), 4) };
  }
  const at = nominalEfficiency.rows.findIndex((row) => Number(row['nominal']) <= limit * 100 + 0.005);
  const row = nominalEfficiency.rows[random() < 0.3 ? Math.max(0, at - 1) : at];
  return { nominal: Number(row?.['nominal']) / 100, minimum: Number(row?.['minimum']) / 100 };
}

function codeLetter(kvaPerHp: number): string {
  const row = codeLetters.rows.findLast((each) => Number(each['kva_per_hp_min']) <= kvaPerHp);
  return String(row?.['letter']);
}

function motorVoltages(power: number, series: Series, school: 'NEMA' | 'IEC'): number[] {
  if (school === 'IEC') return power <= 3000 ? [230, 400] : [400, 690];
  if (power > hp(100)) return [460];
  return series.code === 'cw' && power <= hp(50) ? [208, 230, 460] : [230, 460];
}

interface StartingFigures {
  readonly lockedRotorCurrent: number;
  readonly lockedRotorTorque: number;
  readonly breakdownTorque: number;
}

/** Starting current and torques of a motor that could be built with these figures, by the circuit that has them all. */
function startingFigures(targets: FitTargets): StartingFigures {
  const rated = targets.power / targets.speed;
  for (let shrink = 1; shrink > 0.3; shrink *= 0.95) {
    const most = targets.lockedRotorCurrent * shrink;
    const fit = fitCircuit({ ...targets, lockedRotorCurrent: most, lockedRotorCurrentLeast: most });
    const reached = (name: string): number => fit?.quantities.find((each) => each.name === name)?.reached ?? Number.NaN;
    const figures = {
      lockedRotorCurrent: round(reached('Locked-rotor current'), 4),
      lockedRotorTorque: round(reached('Locked-rotor torque') / rated, 4),
      breakdownTorque: round(reached('Breakdown torque') / rated, 4),
    };
    const again = fitCircuit({
      ...targets,
      ...figures,
      lockedRotorCurrentLeast: figures.lockedRotorCurrent,
      torquesAtLeast: false,
    });
    if (fit?.conflicts.length === 0 && again?.conflicts.length === 0) return figures;
  }
  throw new Error(`no motor of ${targets.power} W and ${targets.poles} poles could be built`);
}

function motor(
  series: Series,
  power: number,
  poles: number,
  school: 'NEMA' | 'IEC',
  random: Random,
): MotorItem | undefined {
  const limit = classEfficiency(series.className, {
    power: Math.max(power, school === 'NEMA' ? hp(1) : 0),
    poles,
    open: series.enclosure === 'ODP',
    school,
  })?.value;
  const frame = frameFor(power, poles, series, school);
  if (limit === undefined || frame === undefined) return undefined;

  const frequency = school === 'NEMA' ? 60 : 50;
  const { nominal, minimum } = efficiencyFor(limit, school, random);
  const powerFactor = round(estimatedPowerFactor(power, poles) + between(random, -0.015, 0.015), 3);
  const voltages = motorVoltages(power, series, school);
  const base = voltages.at(-1) ?? 460;
  const current = (voltage: number) => round(power / (Math.sqrt(3) * voltage * nominal * powerFactor));
  const lockedLimit = (school === 'NEMA' ? maximumLockedRotorCurrent(power, base) : undefined) ?? current(base) * 7.6;
  const locked = lockedLimit * between(random, 0.88, 0.99);
  const size = school === 'NEMA' ? `${round(horsepowerOf(power))} hp` : `${power / 1000} kW`;
  const polesFactor = { 2: 1.02, 4: 1, 6: 1.28, 8: 1.6 }[poles] ?? 1;
  const price =
    (170 + 52 * horsepowerOf(power) ** 0.92) * series.priceFactor * polesFactor * between(random, 0.95, 1.05);
  const speed = synchronousSpeed(frequency, poles) * (1 - estimatedSlip(nominal) * between(random, 0.85, 1.1));
  const starts = startingFigures({
    power,
    voltage: base,
    frequency,
    poles,
    speed,
    current: current(base),
    efficiency: nominal,
    lockedRotorCurrent: locked,
    lockedRotorCurrentLeast: locked,
    lockedRotorTorque: minimumLockedRotorTorque(power, poles) * between(random, 1.02, 1.2),
    breakdownTorque: minimumBreakdownTorque(power, poles) * between(random, 1.02, 1.1),
    torquesAtLeast: true,
    fixedShare: 0.35,
    statorShare: 0.4,
  });

  return {
    kind: 'motor',
    id: `${series.code}-${size.replace(' ', '')}-${poles}p`,
    maker: series.maker,
    series: series.series,
    name: `${series.series} ${size} ${poles}-pole ${frame}`,
    school,
    power,
    poles,
    frequency,
    voltages,
    currents: voltages.map(current),
    speed,
    efficiency: nominal,
    efficiencyMinimum: minimum,
    efficiencyClass: series.className,
    powerFactor,
    serviceFactor: series.serviceFactor,
    codeLetter:
      school === 'NEMA'
        ? codeLetter((Math.sqrt(3) * base * starts.lockedRotorCurrent) / 1000 / horsepowerOf(power))
        : '',
    designLetter: school === 'NEMA' ? 'B' : 'N',
    // On the low end of its range, 208 of 208-230 V, a winding draws less, in proportion to voltage.
    lockedRotorCurrents: voltages.map((voltage) => {
      const made = voltages.find((each) => each > voltage && each < voltage * 1.15) ?? voltage;
      return round(((starts.lockedRotorCurrent * base) / made) * (voltage / made), 4);
    }),
    lockedRotorTorque: starts.lockedRotorTorque,
    breakdownTorque: starts.breakdownTorque,
    frame,
    enclosure: series.enclosure,
    thermalClass: 'F',
    inverterDuty: series.inverterDuty,
    price: round(price, 4),
    leadDays: Math.floor(between(random, 0, power > 75e3 ? 70 : 21)),
  };
}

function motors(random: Random): MotorItem[] {
  const out: MotorItem[] = [];
  const ranges = [
    { school: 'NEMA' as const, series: nemaSeries, least: hp(0.75), most: hp(250) },
    { school: 'IEC' as const, series: iecSeries, least: 550, most: 200e3 },
  ];
  for (const { school, series: all, least, most } of ranges) {
    for (const series of all) {
      for (const power of standardPowers(school)) {
        if (power < least * 0.999 || power > Math.min(most, series.largest) * 1.001) continue;
        for (const poles of POLES) {
          const item = motor(series, power, poles, school, random);
          if (item) out.push(item);
        }
      }
    }
  }
  return out;
}

interface DriveSeries {
  readonly code: string;
  readonly maker: string;
  readonly series: string;
  readonly school: 'NEMA' | 'IEC';
  readonly housing: DriveItem['housing'];
  readonly voltages: readonly [number, number];
  readonly least: number;
  readonly largest: number;
  readonly priceFactor: number;
}

const driveSeries: readonly DriveSeries[] = [
  {
    code: 'ad',
    maker: 'Quennel',
    series: 'Adder',
    school: 'NEMA',
    housing: 'IP20',
    voltages: [380, 480],
    least: hp(1),
    largest: hp(250),
    priceFactor: 1,
  },
  {
    code: 'ot',
    maker: 'Marrowby',
    series: 'Otter',
    school: 'NEMA',
    housing: 'IP55',
    voltages: [380, 480],
    least: hp(1),
    largest: hp(200),
    priceFactor: 1.25,
  },
  {
    code: 'al',
    maker: 'Quennel',
    series: 'Adder Low',
    school: 'NEMA',
    housing: 'IP20',
    voltages: [200, 240],
    least: hp(1),
    largest: hp(100),
    priceFactor: 1.05,
  },
  {
    code: 'pk',
    maker: 'Marrowby',
    series: 'Pike',
    school: 'NEMA',
    housing: 'IP66',
    voltages: [380, 480],
    least: hp(1),
    largest: hp(30),
    priceFactor: 1.55,
  },
  {
    code: 'he',
    maker: 'Quennel',
    series: 'Heron',
    school: 'IEC',
    housing: 'IP20',
    voltages: [380, 500],
    least: 750,
    largest: 200e3,
    priceFactor: 1,
  },
  {
    code: 'bi',
    maker: 'Marrowby',
    series: 'Bittern',
    school: 'IEC',
    housing: 'IP55',
    voltages: [380, 500],
    least: 750,
    largest: 160e3,
    priceFactor: 1.25,
  },
  {
    code: 'gr',
    maker: 'Marrowby',
    series: 'Grebe',
    school: 'IEC',
    housing: 'IP66',
    voltages: [380, 500],
    least: 750,
    largest: 22e3,
    priceFactor: 1.55,
  },
];

/** Losses at the eight points of IEC 61800-9-2, of that at (90;100). */
const SHAPE = [0.46, 0.57, 0.82, 0.47, 0.59, 0.9, 0.62, 1];

/** What stands inside a drive and how quick its transistors are; the larger it is the slower. */
function insides(
  { housing, school, voltages: [least, most] }: (typeof driveSeries)[number],
  power: number,
  normal: number,
  heavy: number,
): Partial<DriveItem> {
  const chops = power <= 75_000;
  const brakeVoltage = most < 300 ? 390 : 750;
  return {
    ...(most > 480
      ? {
          bands: [
            { voltageMax: 440, normalCurrent: round(normal), heavyCurrent: round(heavy) },
            { voltageMax: most, normalCurrent: round(0.9 * normal), heavyCurrent: round(0.9 * heavy) },
          ],
        }
      : {}),
    losses: SHAPE.map((share) => round(share * 0.45 * referenceLoss(power))),
    standbyPower: round(0.0015 * power, 2),
    riseTime: power <= 15_000 ? 0.1e-6 : power <= 75_000 ? 0.15e-6 : 0.2e-6,
    chopper: chops,
    ...(chops ? { brakeVoltage, leastResistor: round(brakeVoltage / (1.5 * heavy)) } : {}),
    longestShielded: power <= 4000 ? 50 : 100,
    longestPlain: power <= 4000 ? 75 : 150,
    choke: power >= 4000,
    safeTorqueOff: true,
    encoder: housing !== 'IP66',
    carrierRated: 4000,
    deratePerKilohertz: 0.0375,
    carrierMost: power <= 15_000 ? 16_000 : 12_000,
    listed: least <= 400 && most >= 480 ? ['NEMA', 'IEC'] : [school],
    shortCircuitRating: most < 300 ? 50_000 : 100_000,
    protectedBy: school === 'NEMA' ? 'fuses of class J' : 'fuses gG',
  };
}

function drives(random: Random): DriveItem[] {
  return driveSeries.flatMap((series) => {
    const sizes = standardPowers(series.school).filter(
      (power) => power >= series.least * 0.999 && power <= series.largest * 1.001,
    );
    const base = series.voltages[1] < 300 ? 230 : series.school === 'NEMA' ? 460 : 400;
    const outputs = sizes.map((power) => {
      const efficiency =
        classEfficiency(series.school === 'NEMA' ? 'premium' : 'IE3', { power, poles: 4, school: series.school })
          ?.value ?? 0.9;
      return (power / (Math.sqrt(3) * base * efficiency * estimatedPowerFactor(power, 4))) * between(random, 1.02, 1.1);
    });
    return sizes.map((power, at): DriveItem => {
      const size = series.school === 'NEMA' ? `${round(horsepowerOf(power))} hp` : `${power / 1000} kW`;
      const normal = outputs[at] ?? 0;
      return {
        kind: 'drive',
        id: `${series.code}-${size.replace(' ', '')}`,
        maker: series.maker,
        series: series.series,
        name: `${series.series} ${size} ${series.housing}`,
        voltageMin: series.voltages[0],
        voltageMax: series.voltages[1],
        normalCurrent: round(normal),
        heavyCurrent: round(outputs[at - 1] ?? normal * 0.7),
        normalOverload: 1.1,
        heavyOverload: 1.5,
        overloadTime: 60,
        overloadRepeat: 600,
        ...(series.housing === 'IP20' ? { peakOverload: 1.8, peakTime: 3 } : {}),
        normalPower: power,
        heavyPower: sizes[at - 1] ?? power * 0.7,
        inputCurrent: round(normal * 0.97),
        housing: series.housing,
        ratedAmbient: 273.15 + 40,
        maximumAmbient: 273.15 + (series.housing === 'IP20' ? 50 : 45),
        deratePerKelvin: 0.015,
        deratePer100m: 0.01,
        ...insides(series, power, normal, outputs[at - 1] ?? normal * 0.7),
        price: round((280 + 62 * horsepowerOf(power) ** 0.9) * series.priceFactor * between(random, 0.95, 1.05), 4),
        leadDays: Math.floor(between(random, 0, 28)),
      };
    });
  });
}

const contactorSizes = [9, 12, 18, 25, 32, 40, 50, 65, 80, 95, 115, 150, 185, 225, 265, 300, 400, 500];
const relayEdges = [
  0.4, 0.63, 1, 1.6, 2.5, 4, 6, 8, 10, 13, 18, 24, 32, 38, 50, 65, 80, 100, 125, 160, 200, 250, 320, 400, 500,
];

function parts(random: Random): StarterPart[] {
  const price = (base: number, perAmpere: number, amperes: number) =>
    round((base + perAmpere * amperes ** 0.95) * between(random, 0.95, 1.05), 4);
  const part = (
    kind: StarterPart['kind'],
    id: string,
    maker: string,
    series: string,
    name: string,
    range: readonly [number, number],
    cost: number,
  ): StarterPart => ({
    kind,
    id,
    maker,
    series,
    name,
    price: cost,
    leadDays: Math.floor(between(random, 0, 14)),
    voltageMax: 690,
    currentMin: range[0],
    currentMax: range[1],
  });
  const contactors = contactorSizes.flatMap((size) => [
    {
      ...part(
        'contactor',
        `lt-${size}`,
        'Ashgill',
        'Latch',
        `Latch contactor ${size} A`,
        [0, size],
        price(28, 2.1, size),
      ),
      coilSealed: round(6 + 0.16 * size),
      coilInrush: round(55 + 2.4 * size),
      lifeStarted: 1_200_000,
      lifeInched: 60_000,
    },
    part('contactor', `hs-${size}`, 'Fenlode', 'Hasp', `Hasp contactor ${size} A`, [0, size], price(34, 2.4, size)),
  ]);
  const relays = relayEdges.slice(1).map((high, at) => {
    const low = relayEdges[at] ?? 0;
    return part(
      'overload relay',
      `wd-${high}`,
      'Ashgill',
      'Warden',
      `Warden relay ${low}–${high} A`,
      [low, high],
      price(40, 0.9, high),
    );
  });
  const motorBreakers = motorBreakerRanges.rows.map((row) => {
    const [low, high] = [Number(row['from']), Number(row['to'])];
    return {
      ...part(
        'motor breaker',
        `pl-${high}`,
        'Ashgill',
        'Palisade',
        `Palisade motor breaker ${low}–${high} A`,
        [low, high],
        price(46, 1.6, high),
      ),
      breakingCapacity: high <= 12 ? 100_000 : 50_000,
    };
  });
  const ratings = standardRatings.rows
    .filter((row) => row['fuse_only'] !== true)
    .map((row) => Number(row['rating']))
    .filter((rating) => rating <= 600);
  const breakers = ratings.map((rating) => ({
    ...part(
      'breaker',
      `bl-${rating}`,
      'Fenlode',
      'Bulwark',
      `Bulwark breaker ${rating} A`,
      [0, rating],
      price(55, 2.6, rating),
    ),
    breakingCapacity: rating <= 250 ? 35_000 : 50_000,
  }));
  const softStarters = contactorSizes.flatMap((size) => [
    {
      ...part(
        'soft starter',
        `es-${size}`,
        'Quennel',
        'Easel',
        `Easel soft starter ${size} A`,
        [0, size],
        price(260, 6.5, size),
      ),
      ac53: { multiple: 3.5, seconds: 20, startsPerHour: 10 },
    },
    {
      ...part(
        'soft starter',
        `ln-${size}`,
        'Marrowby',
        'Linnet',
        `Linnet soft starter ${size} A`,
        [0, size],
        price(290, 6.1, size),
      ),
      ac53: { multiple: 3.5, seconds: 15, startsPerHour: 6 },
    },
  ]);
  const lowBreakers = ratings.slice(0, 20).map((rating) => ({
    ...part(
      'breaker',
      `bw-${rating}`,
      'Fenlode',
      'Breakwater',
      `Breakwater breaker ${rating} A, 240 V`,
      [0, rating],
      price(24, 1.4, rating),
    ),
    voltageMax: 240,
    breakingCapacity: 22_000,
  }));
  const transformers = contactorSizes.map((size) =>
    part(
      'autotransformer',
      `gn-${size}`,
      'Ashgill',
      'Gannet',
      `Gannet autotransformer ${size} A, taps 50/65/80 %`,
      [0, size],
      price(210, 5.2, size),
    ),
  );
  return [...contactors, ...relays, ...motorBreakers, ...breakers, ...softStarters, ...lowBreakers, ...transformers];
}

const besideSizes = [4, 8, 12, 18, 25, 35, 50, 70, 100, 140, 200, 280, 400, 560];

/** Chokes, filters, resistors and rings beside a drive. */
function accessories(): DrivePart[] {
  const part = (
    kind: DrivePart['kind'],
    [id, maker, series, what]: readonly [id: string, maker: string, series: string, what: string],
    size: string,
    price: number,
    more: Pick<DrivePart, 'currentMax'> & Partial<DrivePart>,
  ): DrivePart => ({
    kind,
    id: `${id}-${size.replaceAll(' ', '')}`,
    maker,
    series,
    name: `${series} ${what} ${size}`,
    price: round(price),
    leadDays: kind === 'sine filter' || kind === 'passive filter' ? 35 : 10,
    voltageMax: 500,
    ...more,
  });
  const perAmpere = besideSizes.flatMap((amperes) => {
    const size = `${amperes} A`;
    return [
      part('line choke', ['tl', 'Ashgill', 'Teal', 'choke 3 %'], size, 38 + 4.2 * amperes, {
        currentMax: amperes,
        reactance: 0.03,
      }),
      part('line choke', ['tlv', 'Ashgill', 'Teal', 'choke 5 %'], size, 46 + 5.6 * amperes, {
        currentMax: amperes,
        reactance: 0.05,
      }),
      part('passive filter', ['ey', 'Quennel', 'Eyot', 'passive filter'], size, 620 + 29 * amperes, {
        currentMax: amperes,
      }),
      part('output reactor', ['sm', 'Ashgill', 'Smew', 'output reactor'], size, 52 + 5 * amperes, {
        currentMax: amperes,
        reactance: 0.03,
        longestLead: 100,
      }),
      part('dV/dt filter', ['gd', 'Marrowby', 'Gadwall', 'dV/dt filter'], size, 140 + 9.5 * amperes, {
        currentMax: amperes,
        longestLead: 300,
      }),
      part('sine filter', ['wg', 'Marrowby', 'Wigeon', 'sine filter'], size, 330 + 21 * amperes, {
        currentMax: amperes,
        longestLead: 1000,
      }),
    ];
  });
  const resistors = [
    [150, 400],
    [100, 800],
    [60, 1500],
    [40, 2500],
    [30, 4000],
    [22, 6000],
    [15, 9000],
    [10, 14_000],
  ].flatMap(([ohms = 0, watts = 0]) =>
    [1, 3].map((times) =>
      part(
        'brake resistor',
        ['br', 'Fenlode', 'Brazier', 'resistor'],
        `${ohms} Ω ${(watts * times) / 1000} kW`,
        60 + 0.11 * watts * times,
        {
          currentMax: Math.sqrt((watts * times) / ohms),
          resistance: ohms,
          meanPower: watts * times,
          energy: 12 * watts * times,
          voltageMax: 1000,
        },
      ),
    ),
  );
  const ring = part('shaft ring', ['rg', 'Quennel', 'Ruff', 'shaft ring'], 'to 130 mm', 145, {
    currentMax: 60,
    voltageMax: 1000,
  });
  return [...perAmpere, ...resistors, ring];
}

/** Some of the small sizes were tested, with their relay and a breaker one size up. */
const pairs = (): CoordinatedCombination[] => [
  ...(
    [
      [25, 24, 60],
      [32, 32, 80],
      [40, 38, 100],
    ] as const
  ).map(([contactor, relay, breaker]) => ({
    device: `Bulwark breaker ${breaker} A`,
    contactor: `lt-${contactor}`,
    relay: `wd-${relay}`,
    coordination: 'type 2' as const,
    current: 65_000,
    voltage: 480,
  })),
  ...(
    [
      [25, '20–25'],
      [32, '25–32'],
    ] as const
  ).map(([contactor, dial]) => ({
    device: `Palisade motor breaker ${dial} A`,
    contactor: `lt-${contactor}`,
    coordination: 'type 2' as const,
    current: 50_000,
    voltage: 400,
  })),
];

/** The whole demo catalogue; the same on every machine. */
export function demoCatalogue(seed = 2026): Catalogue {
  const random = seeded(seed);
  return {
    name: 'Demo catalogue (invented)',
    currency: 'USD',
    motors: motors(random),
    drives: drives(random),
    parts: parts(random),
    accessories: accessories(),
    pairs: pairs(),
  };
}
