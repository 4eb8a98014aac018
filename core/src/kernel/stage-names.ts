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
  situation: 'Task',
  nameplate: 'Nameplate',
  load: 'Load',
  supply: 'Supply',
  place: 'Environment',
  profile: 'Speed profile',
  starting: 'Starting',
  pick: 'Selection',
  drive: 'Drive',
  protection: 'Protection & wiring',
  money: 'Economics',
  handover: 'Documents',
};
