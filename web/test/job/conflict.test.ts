import { emptyJob } from '@pilgrim/core';
import { describe, expect, it } from 'vitest';
import { clashes, merge } from '../../src/lib/job/conflict.ts';

describe('two versions of a job', () => {
  const common = emptyJob({ title: 'Pump', nameplate: { power: '10 hp', frame: '215T' } });
  const mine = emptyJob({
    title: 'Mine',
    nameplate: { power: '15 hp', frame: '215T' },
    profile: { points: [{ flow: '70 %', hours: '100' }] },
  });
  const theirs = emptyJob({ title: 'Theirs', nameplate: { power: '10 hp', frame: '254T' }, tag: 'P-1' });

  it('clash only where both changed a field, each to something else', () => {
    expect(clashes(common, mine, theirs)).toEqual([{ path: 'title', mine: 'Mine', theirs: 'Theirs' }]);
    expect(clashes(common, mine, mine)).toEqual([]);
    expect(clashes(common, { ...mine, title: 'Theirs' }, theirs)).toEqual([]);
  });
  it('differ field by field where the common version is not known, a list as one', () => {
    const all = clashes(undefined, mine, theirs);
    expect(all.map((each) => each.path).toSorted()).toEqual([
      'nameplate.frame',
      'nameplate.power',
      'profile.points',
      'tag',
      'title',
    ]);
    expect(all.find((each) => each.path === 'profile.points')?.mine).toBe('70 % for 100');
  });

  it('are joined: what one side left alone is as the other changed it, whatever is chosen', () => {
    for (const side of ['mine', 'theirs'] as const) {
      expect(merge(common, mine, theirs, () => side)).toEqual({
        ...mine,
        title: side === 'mine' ? 'Mine' : 'Theirs',
        tag: 'P-1',
        nameplate: { ...mine.nameplate, power: '15 hp', frame: '254T' },
      });
    }
  });
  it('keep what one side took away', () => {
    const without = emptyJob({ title: 'Pump', nameplate: { frame: '215T' } });
    expect(merge(common, without, theirs, () => 'mine').nameplate.power).toBeUndefined();
    expect(merge(common, theirs, without, () => 'mine').nameplate.power).toBeUndefined();
    expect(
      clashes(common, without, emptyJob({ ...common, nameplate: { power: '20 hp' } })).map(({ path }) => path),
    ).toEqual(['nameplate.power']);
  });
  it('merge by what was chosen where the common version is not known', () => {
    expect(merge(undefined, mine, theirs, () => 'mine')).toEqual(mine);
    expect(merge(undefined, mine, theirs, () => 'theirs')).toEqual(theirs);
  });
});
