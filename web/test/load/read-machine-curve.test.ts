import { describe, expect, it } from 'vitest';
import { readMachineCurve } from '../../src/lib/load/read-machine-curve';

describe('a pasted curve of a machine', () => {
  it('takes points with their units, and puts those of a heading behind bare figures', () => {
    expect(readMachineCurve('140 m³/h; 34 m; 76 %\n90 m³/h; 41 m', 'head').rows).toEqual([
      { flow: '140 m³/h', head: '34 m', efficiency: '76 %' },
      { flow: '90 m³/h', head: '41 m', efficiency: '' },
    ]);
    expect(readMachineCurve('Q (cfm),p [inH2O],eff (%)\n12000,7,76\n', 'pressure').rows).toEqual([
      { flow: '12000 cfm', pressure: '7 inH2O', efficiency: '76 %' },
    ]);
  });
  it('counts what it leaves out, and never throws', () => {
    expect(readMachineCurve('140; 34\nnothing here\n', 'head')).toMatchObject({ lost: 1, rows: [{ flow: '140' }] });
    for (const odd of ['', '\ufeff', '"half', '\0;\0', ';;;']) expect(readMachineCurve(odd, 'head').rows).toEqual([]);
    expect(readMachineCurve(`1;${'9'.repeat(500)}`, 'head').rows[0]?.['head']?.length).toBe(60);
  });
});
