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
  'drive',
  'protection',
  'money',
  'handover',
] as const;
export type StageName = (typeof stageNames)[number];

export const stageTitles: Readonly<Record<StageName, string>> = {
  situation: 'Situation',
  nameplate: 'Nameplate',
  load: 'Load',
  supply: 'Supply',
  place: 'Place',
  profile: 'Speed profile',
  starting: 'Starting',
  pick: 'Pick',
  drive: 'Drive & motor',
  protection: 'Protection & wiring',
  money: 'Money',
  handover: 'Hand-over',
};
