import type { Catalogue, JobInput, MotorItem } from '../../src/index.ts';

const HP = 745.6999;

/** 25 hp, four poles, 1000. */
const motor: MotorItem = {
  kind: 'motor',
  id: 'm25',
  maker: 'Made up',
  series: 'M',
  name: 'M 25',
  price: 1000,
  leadDays: 5,
  school: 'NEMA',
  power: 25 * HP,
  poles: 4,
  frequency: 60,
  voltages: [460],
  currents: [30],
  speed: (1770 * Math.PI) / 30,
  efficiency: 0.936,
  efficiencyMinimum: 0.924,
  efficiencyClass: 'premium',
  powerFactor: 0.83,
  serviceFactor: 1.15,
  codeLetter: 'G',
  designLetter: 'B',
  lockedRotorCurrents: [180],
  lockedRotorTorque: 1.7,
  breakdownTorque: 2.4,
  frame: '284T',
  enclosure: 'TEFC',
  thermalClass: 'F',
  inverterDuty: true,
};
const part = (id: string, kind: 'contactor' | 'overload relay', price: number) => ({
  kind,
  id,
  maker: 'Made up',
  series: 'P',
  name: id,
  price,
  leadDays: 1,
  voltageMax: 600,
  currentMin: 20,
  currentMax: 40,
});
/** A motor of 1000, a drive of 2000, a contactor of 120 and a relay of 80, so that sums can be done in the head. */
export const catalogue: Catalogue = {
  name: 'Round prices',
  currency: 'USD',
  motors: [motor],
  drives: [
    {
      kind: 'drive',
      id: 'd',
      maker: 'Made up',
      series: 'D',
      name: 'D 25',
      price: 2000,
      leadDays: 5,
      voltageMin: 380,
      voltageMax: 500,
      normalCurrent: 40,
      heavyCurrent: 34,
      normalPower: 25 * HP,
      heavyPower: 20 * HP,
      inputCurrent: 38,
      housing: 'IP20',
      ratedAmbient: 313.15,
      maximumAmbient: 323.15,
      deratePerKelvin: 0.01,
      deratePer100m: 0.01,
    },
  ],
  accessories: [],
  pairs: [],
  parts: [part('K', 'contactor', 120), part('F', 'overload relay', 80)],
};
/** A new fan that is controlled by its damper. */
export const fan: JobInput = {
  situation: { kind: 'new' },
  load: { way: 'torque', torqueKind: 'variable', torque: '70 lb·ft', speed: '1760 rpm', inertia: '20 lb·ft²' },
  supply: { voltage: '480 V', frequency: '60 Hz', sourcePower: '1000 kVA', sourceImpedance: '5 %' },
  place: { hazardous: 'no', ambient: '30 °C', cabinet: true },
  profile: {
    control: 'damper',
    points: [
      { flow: '100 %', hours: '2000 h' },
      { flow: '60 %', hours: '4000 h' },
    ],
  },
  money: { energyPrice: '0.10 per kWh', years: '10 years' },
};

/** 25 hp at 460 V: √3·460·30·0.936·0.83 = 18.57 kW of 18.64, a plate that agrees with itself. */
export const plate = {
  power: '25 hp',
  speed: '1770',
  voltages: '460',
  currents: '30',
  frequency: '60',
  efficiency: '93.6',
  powerFactor: '83',
} as const;
