import { emptyJob } from '@pilgrim/core';
import { describe, expect, it } from 'vitest';
import { differences, merge } from '../src/lib/job/conflict.ts';

describe('two versions of a job', () => {
  const mine = emptyJob({
    title: 'Mine',
    nameplate: { power: '15 hp' },
    profile: { points: [{ flow: '70 %', hours: '100' }] },
  });
  const theirs = emptyJob({ title: 'Theirs', nameplate: { frame: '254T' }, tag: 'P-1' });

  it('differ field by field, a list as one', () => {
    expect(
      differences(mine, theirs)
        .map((each) => each.path)
        .toSorted(),
    ).toEqual(['nameplate.frame', 'nameplate.power', 'profile.points', 'tag', 'title']);
    expect(differences(mine, theirs).find((each) => each.path === 'profile.points')?.mine).toBe('70 % for 100');
  });

  it('merge by what was chosen, with nothing left over', () => {
    const merged = merge(mine, theirs, (path) => (path === 'title' || path === 'nameplate.frame' ? 'theirs' : 'mine'));
    expect(merged).toEqual({
      ...mine,
      title: 'Theirs',
      nameplate: { ...mine.nameplate, frame: '254T' },
    });
    expect(merge(mine, theirs, () => 'mine')).toEqual(mine);
    expect(merge(mine, theirs, () => 'theirs')).toEqual(theirs);
  });
});
