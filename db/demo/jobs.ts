/** Two invented places with their supplies and jobs in various states. Nothing here is a real plant. */
import type { JobInput } from '@pilgrim/core';

export interface DemoSite {
  readonly name: string;
  readonly school: 'NEMA' | 'IEC';
  readonly paper: 'letter' | 'a4';
  readonly currency: string;
  readonly supplies: readonly { readonly name: string; readonly supply: NonNullable<JobInput['supply']> }[];
  readonly jobs: readonly JobInput[];
}

const millBus: NonNullable<JobInput['supply']> = {
  voltage: '480 V',
  frequency: '60 Hz',
  source: 'transformer',
  sourcePower: '1500 kVA',
  sourceImpedance: '5.75 %',
  bands: [
    { name: 'Day', price: '0.104 per kWh', share: '55 %' },
    { name: 'Night', price: '0.077 per kWh', share: '45 %' },
  ],
  demandPrice: '11 per kW',
};
const generators: NonNullable<JobInput['supply']> = {
  voltage: '400 V',
  frequency: '50 Hz',
  source: 'generator',
  sourcePower: '400 kVA',
  sourceImpedance: '16 %',
  subtransientReactance: '11 %',
  otherLoad: '140 kVA',
  feederLength: '85 m',
  feederSize: '35 mm²',
};
const grid: NonNullable<JobInput['supply']> = {
  voltage: '400 V',
  frequency: '50 Hz',
  source: 'transformer',
  sourcePower: '630 kVA',
  sourceImpedance: '4 %',
};

const mill: DemoSite = {
  name: 'Fenhallow Board Mill',
  school: 'NEMA',
  paper: 'letter',
  currency: 'USD',
  supplies: [
    { name: 'Stock preparation bus, 1500 kVA', supply: millBus },
    { name: 'Yard transformer, 225 kVA', supply: { ...millBus, sourcePower: '225 kVA', sourceImpedance: '4.5 %' } },
  ],
  jobs: [
    {
      tag: 'P-214',
      title: 'Machine-chest stock pump',
      situation: {
        kind: 'replace',
        life: '3 years',
        failureMode: 'bearing',
        changed: 'Belt drive replaced by a coupling last spring',
      },
      nameplate: {
        asRead:
          'HP 30 RPM 1770 V 230/460 A 71/35.5 HZ 60 PH 3 SF 1.15 CODE G DES B EFF 93.6 PF 84 FR 286T TEFC INS F AMB 40 CONT',
        power: '30 hp',
        voltages: '230/460 V',
        currents: '71/35.5 A',
        frequency: '60 Hz',
        speed: '1770 r/min',
        efficiency: '93.6 %',
        powerFactor: '0.84',
        serviceFactor: '1.15',
        codeLetter: 'G',
        designLetter: 'B',
        frame: '286T',
        enclosure: 'TEFC',
        thermalClass: 'F',
        ambient: '40 °C',
        duty: 'CONT',
      },
      load: { machine: 'pump', torqueKind: 'variable', torque: '72 lb·ft', speed: '1768 r/min' },
      supply: millBus,
      place: { ambient: '42 °C', altitude: '640 ft', water: 'drip', dust: 'dirty' },
      drive: { lead: '60 ft', pipeLength: '900 ft' },
      profile: {
        control: 'throttle',
        staticHeadShare: '30 %',
        points: [
          { flow: '100 %', hours: '700' },
          { flow: '85 %', hours: '1900' },
          { flow: '70 %', hours: '3100' },
          { flow: '55 %', hours: '1200' },
        ],
      },
      money: { energyPrice: '0.092 per kWh', years: '10' },
    },
    {
      tag: 'HF-031',
      title: 'Hood exhaust fan, dryer section',
      situation: { presentStarter: 'direct', kind: 'energy' },
      nameplate: {
        power: '60 hp',
        voltages: '460 V',
        currents: '68.5 A',
        frequency: '60 Hz',
        speed: '1780 r/min',
        efficiency: '95 %',
        powerFactor: '0.86',
        serviceFactor: '1.15',
        codeLetter: 'G',
        designLetter: 'B',
        frame: '364T',
        enclosure: 'TEFC',
        thermalClass: 'F',
        duty: 'CONT',
      },
      load: { machine: 'fan', torqueKind: 'variable', torque: '148 lb·ft', speed: '1782 r/min' },
      supply: millBus,
      place: { ambient: '46 °C', dust: 'dirty', cabinet: true },
      drive: { lead: '210 ft', demandCurrent: '1200 A', otherDrives: '120 A' },
      profile: {
        control: 'damper',
        points: [
          { flow: '95 %', hours: '1500' },
          { flow: '80 %', hours: '3200' },
          { flow: '60 %', hours: '2900' },
        ],
      },
      money: { energyPrice: '0.092 per kWh', years: '10' },
    },
    {
      tag: 'RF-110',
      title: 'Refiner, starter trips on cold mornings',
      situation: { kind: 'starter' },
      nameplate: {
        power: '150 hp',
        voltages: '460 V',
        frequency: '60 Hz',
        speed: '1785 r/min',
        frame: '445T',
        enclosure: 'TEFC',
        serviceFactor: '1.15',
        codeLetter: 'G',
        duty: 'CONT',
      },
      load: {
        machine: 'other',
        torqueKind: 'variable',
        torque: '210 lb·ft',
        speed: '1788 r/min',
        inertia: '1240 lb·ft²',
        breakaway: '25 %',
      },
      supply: { voltage: '480 V', frequency: '60 Hz' },
      place: { ambient: '30 °C', dust: 'dirty' },
      starting: { speedControl: 'no', tripClass: '10' },
    },
    {
      tag: 'BL-402',
      title: 'Bale lift, new drum',
      situation: { kind: 'new' },
      load: {
        machine: 'other',
        torqueKind: 'constant',
        way: 'hoist',
        movedMass: '1400 lb',
        linearSpeed: '273 ft/min',
        machineEfficiency: '96 %',
        speed: '58 r/min',
        ratio: '30',
        transmissionEfficiency: '88 %',
        holdingBrake: 'yes',
      },
      supply: { ...millBus, sourcePower: '225 kVA', sourceImpedance: '4.5 %' },
      place: { ambient: '35 °C', dust: 'dirty', water: 'dry' },
      profile: {
        points: [
          { flow: '100 %', hours: '900' },
          { flow: '40 %', hours: '500' },
        ],
      },
      starting: {
        speedControl: 'yes',
        closedLoop: 'yes',
        reversing: 'yes',
        inching: 'no',
        plugging: 'no',
        braking: 'chopper',
      },
      drive: { lead: '75 ft', stopTime: '2 s', stopEvery: '90 s' },
      money: { energyPrice: '0.092 per kWh' },
      handover: { why: 'A load is lifted and lowered at more than one speed, and must be held at standstill.' },
    },
    {
      tag: 'PU-205',
      title: 'Pulper dilution pump, sized on the plate',
      situation: { kind: 'replace' },
      nameplate: {
        power: '15 hp',
        voltages: '230/460',
        currents: '38/19',
        frequency: '60',
        speed: '1770',
        frame: '254T',
        serviceFactor: '1.15',
        codeLetter: 'G',
        designLetter: 'B',
      },
      supply: { voltage: '480 V', frequency: '60 Hz' },
      place: { dust: 'dirty' },
    },
  ],
};

const salt: DemoSite = {
  name: 'Greyspit Salt Works',
  school: 'IEC',
  paper: 'a4',
  currency: 'EUR',
  supplies: [
    { name: 'Generator bus, one set of 400 kVA', supply: generators },
    { name: 'Grid transformer, 630 kVA', supply: grid },
  ],
  jobs: [
    {
      tag: 'BP-3',
      title: 'Brine lift pump, always at full flow',
      situation: { kind: 'new' },
      load: { machine: 'pump', torqueKind: 'variable', torque: '96 N·m', speed: '1470 r/min' },
      supply: grid,
      place: { ambient: '38 °C', altitude: '4 m', setting: 'indoor', water: 'drip', dust: 'dirty' },
      profile: { control: 'none', points: [{ flow: '100 %', hours: '8300' }] },
      money: { energyPrice: '0.14 per kWh', years: '10', exchangeRate: '0.92' },
    },
    {
      tag: 'KA-2',
      title: 'Crystalliser agitator on the generator bus',
      situation: { kind: 'new' },
      load: {
        machine: 'other',
        torqueKind: 'constant',
        torque: '2900 N·m',
        speed: '72 r/min',
        inertia: '310 kg·m²',
        stages: [
          { kind: 'V-belt', ratio: '1.6', efficiency: '96 %' },
          { kind: 'helical gear', ratio: '12.7', efficiency: '98 %', inertia: '0.9 kg·m²' },
        ],
        sheave: '250 mm',
        breakaway: '40 %',
      },
      supply: generators,
      place: { ambient: '44 °C', altitude: '4 m', water: 'hose', dust: 'dirty', cabinet: true },
      profile: { points: [{ flow: '100 %', hours: '7200' }] },
      starting: { speedControl: 'no', leads: '6' },
      drive: { lead: '64 m' },
      money: { energyPrice: '0.14 per kWh', years: '10', exchangeRate: '0.92' },
    },
    {
      tag: 'VF-12',
      title: 'Ventilation of the fuel store',
      situation: { kind: 'replace', life: '11 years', failureMode: 'bearing' },
      nameplate: {
        power: '5.5 kW',
        voltages: '400/690 V',
        currents: '11/6.4 A',
        frequency: '50 Hz',
        speed: '1460 r/min',
        powerFactor: '0.83',
        efficiency: '87.7 %',
        frame: '132S',
        enclosure: 'IP55',
        thermalClass: 'F',
        duty: 'S1',
      },
      load: { machine: 'fan', torqueKind: 'variable', torque: '31 N·m' },
      supply: grid,
      place: { hazardous: 'yes', ambient: '30 °C' },
    },
  ],
};

export const demoSites: readonly DemoSite[] = [mill, salt];
