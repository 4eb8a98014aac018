import { describe, expect, it } from 'vitest';
import { emptyJob, solve, solveByBoth, type JobInput } from '../../src/index.ts';
import { schedulesOf } from '../../src/solve/schedules.ts';
import { demo } from '../lib/demo.ts';
import { plate } from '../lib/round-prices.ts';

const there: JobInput = {
  tag: 'P-1',
  title: 'Brine pump',
  situation: { kind: 'replace' },
  nameplate: { ...plate, frame: '284T' },
  supply: { voltage: '480 V', sourcePower: '1000 kVA', sourceImpedance: '5 %', feederLength: '40 m' },
  place: { hazardous: 'no', ambient: '30 °C' },
  load: { torque: '25 lb·ft', torqueKind: 'variable', speed: '1770', inertia: '4 lb·ft²' },
  starting: { method: 'direct' },
};
const solved = (input: JobInput) => {
  const job = emptyJob(input);
  return { job, solution: solve(job, demo) };
};
/** With plain spaces before units. */
const plain = (text: string | undefined): string => (text ?? '').replaceAll('\u00a0', ' ');
/** The rows of a schedule as what stands under each head. */
function read(jobs: readonly ReturnType<typeof solved>[], title: string): Record<string, string>[] {
  const schedule = schedulesOf(jobs).schedules.find((each) => each.title === title);
  return (schedule?.rows ?? []).map((row) => {
    expect(row).toHaveLength(schedule?.heads.length ?? 0);
    return Object.fromEntries(row.map((text, at) => [schedule?.heads[at] ?? '', plain(text)]));
  });
}

describe('schedules', () => {
  it('list the run of a motor on the line with what it must carry: 125 % of the 34 A of 430.250', () => {
    const job = solved(there);
    const { values } = job.solution;
    expect(read([job], 'Cables')).toEqual([
      {
        Cable: 'P-1-W1',
        From: 'panel',
        To: 'P-1-M1',
        Wire: plain(values['protection.conductorSize']?.text),
        Earth: plain(values['protection.groundingConductor']?.text),
        Conduit: plain(values['protection.conduit']?.text),
        Length: '40 m',
        'Must carry': '42.5 A',
        'Carries here': plain(values['protection.conductorAmpacity']?.text),
        'Lost running': plain(values['protection.runningDrop']?.text),
        'Lost starting': plain(values['protection.startingDrop']?.text),
        'Decided by': plain(values['protection.conductorLimit']?.text),
      },
    ]);
    expect(read([job], 'Devices').map(({ Item, What }) => `${Item} ${What}`)).toEqual([
      'P-1-F1 short circuit',
      'P-1-Q1 isolator',
      'P-1-Q2 contactor',
      'P-1-F2 overload',
      'P-1-M1 motor',
    ]);
    const fault = plain(values['protection.faultCurrent']?.text);
    expect(read([job], 'Devices')[0]).toMatchObject({
      'Rating or setting': '90.0 A max.',
      'Short circuit there': fault,
    });
    expect(read([job], 'Settings').map(({ Item, Setting, Value }) => [Item, Setting, Value])).toEqual([
      ['P-1-F2', 'Current', plain(values['protection.overloadDial']?.text)],
      ['P-1-F2', 'Class', plain(values['starter.tripClass']?.text)],
    ]);
  });

  it('list six leads behind a star-delta starter: 72 % of the current (430.22(C))', () => {
    const [, leads] = read([solved({ ...there, starting: { method: 'star-delta', leads: '6' } })], 'Cables');
    expect(leads).toMatchObject({ Cable: 'P-1-W2', From: 'starter', To: 'P-1-M1, six leads', 'Must carry': '24.5 A' });
  });

  it('list both runs of a drive, its settings, and no relay', () => {
    const job = solved({ ...there, starting: { method: 'drive' }, drive: { lead: '25 m' } });
    const { values, details } = job.solution;
    expect(
      read([job], 'Cables').map((row) => [row['Cable'], row['To'], row['Length'], row['Must carry'], row['Earth']]),
    ).toEqual([
      [
        'P-1-W1',
        'P-1-T1',
        '40 m',
        plain(values['protection.driveInputAmpacity']?.text),
        plain(values['protection.groundingConductor']?.text),
      ],
      ['P-1-W2', 'P-1-M1', '25 m', '42.5 A', ''],
    ]);
    expect(read([job], 'Devices').map((row) => row['What'])).toEqual(['short circuit', 'isolator', 'drive', 'motor']);
    expect(read([job], 'Settings').map((row) => row['Setting'])).toEqual(
      details.drivePictures?.settings.map(({ name }) => name),
    );
  });

  it('list several jobs under each other, and of a stopped one nothing but that it is stopped', () => {
    const stopped = solved({ ...there, tag: 'P-2', place: { hazardous: 'yes' } });
    const { schedules, leftOut } = schedulesOf([solved(there), stopped, solved({ ...there, tag: 'P-3' })]);
    expect(schedules[0]?.rows.map(([cable]) => cable)).toEqual(['P-1-W1', 'P-3-W1']);
    expect(leftOut).toEqual([expect.stringMatching(/^P-2: .*explosion-protected/)]);
    expect(schedulesOf([]).schedules.every(({ rows }) => rows.length === 0)).toBe(true);
    expect(read([solved({})], 'Devices')).toEqual([]);
  });

  it('list the motors of a voltage as a panel: 34 A and a quarter more for the largest of three is 110.5 A (430.24)', () => {
    const three = ['P-1', 'P-2', 'P-3'].map((tag) => solved({ ...there, tag }));
    const rows = read(three, 'Panels');
    expect(rows.map((row) => [row['Circuit'], row['Current of its wires'], row['Its device']])).toEqual([
      ['P-1', '34.0 A', '90.0 A'],
      ['P-2', '34.0 A', '90.0 A'],
      ['P-3', '34.0 A', '90.0 A'],
      // 430.62: 90 A and the other two, 158 A; the standard size below is 150.
      ['Feeder, if all hang on it', '111 A min.', '150 A max.'],
    ]);
    expect(rows[3]?.['Note']).toContain('3 circuits');
    // A drive counts with its input; another voltage hangs elsewhere, and one motor alone is no panel.
    const driven = solved({ ...there, tag: 'P-4', starting: { method: 'drive' } });
    const input = Number(driven.solution.values['protection.driveInputAmpacity']?.value) / 1.25;
    const [, own] = read([three[0] ?? driven, driven], 'Panels');
    expect(Number.parseFloat(own?.['Current of its wires'] ?? '')).toBeCloseTo(input, 0);
    const elsewhere = solved({ ...there, tag: 'P-5', supply: { ...there.supply, voltage: '460 V' } });
    expect(read([three[0] ?? driven, elsewhere], 'Panels')).toEqual([]);
    // By IEC what runs at once is summed; of a device whose rating is not known nothing is said.
    const iec = ['Q-1', 'Q-2'].map((tag) =>
      solved({
        tag,
        school: 'IEC',
        situation: { kind: 'starter' },
        nameplate: { power: '15 kW', speed: '1470', voltages: '400', currents: '28', frequency: '50' },
        load: { torque: '60 N·m', torqueKind: 'variable', speed: '1470', inertia: '0.2 kg·m²' },
        supply: { voltage: '400 V' },
        place: { hazardous: 'no' },
        starting: { method: 'direct' },
      }),
    );
    const hung = read(iec, 'Panels');
    const feeder = hung.at(-1);
    // A motor breaker has no rating to be selective by: its name stands there.
    expect(hung[0]?.['Its device']).toMatch(/^Palisade motor breaker 25–32\sA$/);
    expect(feeder?.['Current of its wires']).toMatch(/^56\.0 A min.$/);
    expect(feeder?.['Note']).toContain('its maker’s table says');
  });

  it('count on a feeder 34 A with a device of 90 by the code; by IEC the motor’s own current with the fuses that carry its start', () => {
    const { values } = solveByBoth(emptyJob({ ...there, protection: { shortCircuit: 'gG' } }), demo);
    expect(values['protection.feederCurrent']?.value).toBe(34);
    expect(values['protection.deviceRating']?.value).toBe(90);
    expect(values['other.feederCurrent']?.value).toBe(values['pick.motorCurrent']?.value);
    expect(`Fuses gG ${values['other.deviceRating']?.value} A`).toBe(values['other.branchDevice']?.text);
    // A drive counts with its input.
    const driven = solveByBoth(emptyJob({ ...there, starting: { method: 'drive' } }), demo);
    expect(Number(driven.values['protection.feederCurrent']?.value) * 1.25).toBeCloseTo(
      Number(driven.values['protection.driveInputAmpacity']?.value),
      9,
    );
  });

  it('says of a dial that was typed that it was', () => {
    const [dial] = read([solved({ ...there, protection: { dial: '29 A' } })], 'Settings');
    expect(dial).toMatchObject({ Setting: 'Current', Value: '29.0 A', From: 'as typed' });
    expect(read([solved(there)], 'Settings')[0]?.['From']).toBe('what the motor asks');
  });
});
