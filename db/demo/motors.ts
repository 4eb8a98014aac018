/** Motors of the two invented places, for the register. */
import type { RegisteredMotorInput } from '@pilgrim/core/register/registered-motor';

/** A motor of the demo by the text of its plate; it is read as a pasted plate would be. */
export interface DemoMotor extends Omit<RegisteredMotorInput, 'plate'> {
  readonly plate: string;
}

const mill = (tag: string, location: string, plate: string, more: Partial<DemoMotor> = {}): DemoMotor => ({
  site: 'Fenhallow Board Mill',
  school: 'NEMA',
  tag,
  location,
  plate,
  ...more,
});
const salt = (tag: string, location: string, plate: string, more: Partial<DemoMotor> = {}): DemoMotor => ({
  site: 'Greyspit Salt Works',
  school: 'IEC',
  tag,
  location,
  plate,
  ...more,
});

export const demoMotors: readonly DemoMotor[] = [
  mill(
    'P-214-M',
    'Stock preparation, column C7',
    'HP 30 RPM 1770 V 230/460 A 71/35.5 HZ 60 PH 3 SF 1.15 CODE G DES B EFF 93.6 PF 84 FR 286T TEFC INS F AMB 40 CONT DE 6311-2Z/C3 ODE 6311-2Z/C3',
    {
      history: [
        { date: '2023-10-04', event: 'installed', note: 'With the new coupling' },
        { date: '2026-11-09', event: 'failed', note: 'Bearing, drive end, blue races' },
      ],
      state: 'in repair',
    },
  ),
  mill(
    'S-017',
    'Motor store, rack 2',
    'HP 30 RPM 1775 V 230/460 A 70/35 HZ 60 PH 3 SF 1.15 CODE G DES B EFF 94.1 PF 85 FR 286T TEFC INS F AMB 40 CONT DE 6311-2Z/C3 ODE 6309-2Z/C3 INVERTER DUTY CT 10:1',
    { state: 'spare', history: [{ date: '2025-02-11', event: 'repaired', note: 'New bearings, baked and dipped' }] },
  ),
  mill(
    'S-018',
    'Motor store, rack 2',
    'HP 30 RPM 1765 V 460 A 36 HZ 60 SF 1.0 CODE H DES B EFF 92.4 FR 286TS ODP INS B AMB 40 CONT',
    { state: 'spare' },
  ),
  mill(
    'S-021',
    'Motor store, rack 4',
    'HP 15 RPM 1770 V 230/460 A 38/19 HZ 60 SF 1.15 CODE G DES B EFF 92.4 PF 80 FR 254T TEFC INS F CONT',
    { state: 'spare' },
  ),
  mill(
    'HF-031-M',
    'Dryer hood, roof',
    'HP 60 RPM 1780 V 460 A 68.5 HZ 60 SF 1.15 CODE G DES B EFF 95 PF 86 FR 364T TEFC INS F CONT',
    { history: [{ date: '2019-05-20', event: 'installed', note: '' }], runningCurrent: '74 A' },
  ),
  mill('RF-110-M', 'Refiner floor', 'HP 150 RPM 1785 V 460 HZ 60 SF 1.15 CODE G FR 445T TEFC CONT'),
  mill(
    'CV-118-M',
    'Bale conveyor',
    'HP 7-1/2 RPM 1745 V 230/460 A 20/10 HZ 60 SF 1.15 CODE H DES B FR 213T TEFC INS F CONT',
  ),
  mill(
    'VP-09-M',
    'Vacuum pumps',
    'HP 100 RPM 1185 V 460 A 117 HZ 60 SF 1.15 CODE G DES B EFF 95 FR 444T TEFC INS F CONT',
  ),
  salt(
    'BP-2-M',
    'Brine house',
    '15 kW 400/690 V Δ/Y 28.5/16.5 A cos φ 0.84 1475 min⁻¹ 50 Hz 160L IP55 IC411 IM B3 Ins.cl. F S1 IE3 η 92.1 %',
    { history: [{ date: '2021-03-02', event: 'installed', note: '' }] },
  ),
  salt(
    'LM-1',
    'Store by the pans',
    '15 kW 400/690 V Δ/Y 28.5/16.5 A cos φ 0.84 1470 min⁻¹ 50 Hz 160L IP55 IM B3 Ins.cl. F S1 IE2 η 90.6 % DE 6309-2Z/C3 NDE 6209-2Z/C3',
    { state: 'spare' },
  ),
  salt(
    'VF-12-M',
    'Fuel store',
    '5.5 kW 400/690 V 11/6.4 A cos φ 0.83 1460 min⁻¹ 50 Hz 132S IP55 Ins.cl. F S1 η 87.7 %',
  ),
  salt(
    'KA-1-M',
    'Crystalliser 1',
    '30 kW 400/690 V Δ/Y 55/32 A cos φ 0.85 1478 min⁻¹ 50 Hz 200L IP55 Ins.cl. F S1 IE3 η 93.6 %',
  ),
];
