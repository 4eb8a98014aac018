/** Causes of an early failure. */
export const causeIds = [
  'heat',
  'overload',
  'single-phasing',
  'unbalance',
  'belt-tension',
  'misalignment',
  'drive-currents',
  'voltage-peaks',
  'moisture',
  'dirt',
  'grease',
  'starts',
] as const;
export type CauseId = (typeof causeIds)[number];
