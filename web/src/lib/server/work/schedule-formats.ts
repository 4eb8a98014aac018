/** What schedules are kept as, and the type of each. */
export const scheduleFormats = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  pdf: 'application/pdf',
} as const;
export type ScheduleFormat = keyof typeof scheduleFormats;
