import { catalogueSchema, emptyJob, solve, type MotorItem } from '@pilgrim/core';
import { describe, expect, it } from 'vitest';
import { demoCatalogue } from '../demo/catalogue.ts';
import { demoSites } from '../demo/jobs.ts';
import { concernOf, stateOf } from '../store-jobs.ts';

const catalogue = demoCatalogue();
const jobs = demoSites.flatMap((site) =>
  site.jobs.map((job) => emptyJob({ site: site.name, school: site.school, ...job })),
);
const solved = (tag: string) => {
  const job = jobs.find((each) => each.tag === tag);
  if (!job) throw new Error(`no job ${tag}`);
  return { job, solution: solve(job, catalogue) };
};

describe('the demo catalogue', () => {
  it('is large enough, valid, with unique ids, and the same every time', () => {
    expect(catalogueSchema.safeParse(catalogue).success).toBe(true);
    expect(catalogue.motors.length).toBeGreaterThanOrEqual(600);
    expect(catalogue.drives.length).toBeGreaterThanOrEqual(120);
    expect(catalogue.parts.length).toBeGreaterThanOrEqual(120);
    const ids = [...catalogue.motors, ...catalogue.drives, ...catalogue.parts].map((item) => item.id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(demoCatalogue()).toEqual(catalogue);
  });

  it('agrees with itself: √3·V·I·η·cos φ is the power of every motor within the rounding of its current', () => {
    for (const motor of catalogue.motors) {
      motor.voltages.forEach((voltage, at) => {
        const power = Math.sqrt(3) * voltage * (motor.currents[at] ?? 0) * motor.efficiency * motor.powerFactor;
        expect(Math.abs(power / motor.power - 1), motor.id).toBeLessThan(0.006);
      });
    }
  });

  it('covers 2 to 8 poles in both frequencies, several enclosures and classes, inverter duty or not', () => {
    const distinct = (of: (motor: MotorItem) => unknown) => new Set(catalogue.motors.map(of)).size;
    expect(distinct((motor) => `${motor.frequency} ${motor.poles}`)).toBe(8);
    expect(distinct((motor) => motor.enclosure)).toBe(3);
    expect(distinct((motor) => motor.efficiencyClass)).toBeGreaterThanOrEqual(5);
    expect(distinct((motor) => motor.inverterDuty)).toBe(2);
  });
});

describe('the demo jobs', () => {
  it('stand in all three states', () => {
    const states = jobs.map((job) => stateOf(solve(job, catalogue)).state);
    expect(new Set(states)).toEqual(new Set(['stopped', 'open', 'ready']));
    expect(jobs.length).toBeGreaterThanOrEqual(6);
  });

  it('replace like for like where feet must fit: the picked motor has the old frame', () => {
    const { solution } = solved('P-214');
    expect(solution.details.chosenMotor?.item.frame).toBe('286T');
    expect(solution.details.motors?.refused.find((each) => each.rule === 'poles')?.reason).toMatch(/poles, not 4/);
    const { fits = [], refused = [], others = [] } = solution.details.motors ?? {};
    expect(others.reduce((sum, { count }) => sum + count, fits.length + refused.length)).toBe(catalogue.motors.length);
  });

  it('size the drive by current: it covers the motor’s after derates, and power matching is only shown', () => {
    const { solution } = solved('HF-031');
    const { chosenDrive, drives } = solution.details;
    expect(chosenDrive?.current).toBeGreaterThanOrEqual(68.5);
    expect(drives?.refused.filter((each) => each.rule === 'current').length).toBeGreaterThan(0);
    expect(drives?.byPower?.verdict).toBe('short');
  });

  it('say that a drive would waste money on the pump that always runs at full flow', () => {
    const { solution } = solved('BP-3');
    expect(solution.findings.map((finding) => finding.code)).toContain('profile.drive-wastes');
    expect(solution.values['starting.method']?.value).not.toBe('drive');
  });

  it('pick nothing in a hazardous area', () => {
    const { solution } = solved('VF-12');
    expect(solution.details.chosenMotor).toBeUndefined();
    expect(solution.details.motors).toBeUndefined();
    expect(solution.details.starter).toBeUndefined();
  });

  it('refuse a motor chosen by hand that does not fit, with the reason', () => {
    const { job } = solved('P-214');
    const solution = solve(emptyJob({ ...job, pick: { motor: 'hw-30hp-4p' } }), catalogue);
    expect(solution.findings.find((finding) => finding.code === 'pick.motor-refused')?.message).toContain(
      'may not stand here',
    );
  });
});

describe('what stands in the way of a job', () => {
  it('is its first stop, else what is needed first, else nothing', () => {
    const stopped = solved('VF-12').solution;
    expect(concernOf(stopped)).toBe(stopped.findings.find(({ severity }) => severity === 'stop')?.message);
    expect(concernOf(solved('RF-110').solution)).toBe(
      'Needed: Current on the plate; the overload and the drive are set by it',
    );
    expect(concernOf(solved('P-214').solution)).toBe('');
    const { findings, ...rest } = solved('P-214').solution;
    const sharpens = { field: 'load.inertia', stage: 'load', message: 'only sharper', kind: 'sharpens' as const };
    expect(concernOf({ ...rest, findings, missing: [sharpens] })).toBe('');
  });
});
