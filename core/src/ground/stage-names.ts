/** The trade’s own order. A stage may look back, never forward. */
export const stageNames = [
  'situation',
  'nameplate',
  'load',
  'supply',
  'place',
  'profile',
  'starting',
  'pick',
  'protection',
  'money',
  'handover',
] as const;
export type StageName = (typeof stageNames)[number];
