import type { Arrangement, Scheme } from '../../src/stages/protection/diagram/scheme.ts';

export const arrangements: readonly Arrangement[] = [
  'direct',
  'reversing',
  'star-delta',
  'autotransformer',
  'soft starter',
  'two windings',
  'tapped winding',
  'drive',
];

/** What is drawn of an arrangement of which nothing else is known. */
export const schemeOf = (arrangement: Arrangement, more: Partial<Scheme> = {}): Scheme => ({
  school: 'IEC',
  arrangement,
  device: 'fuses',
  control: 'auto',
  known: {},
  ...more,
});
