/** What the register is exported as, and the type of each. */
export const registerFormats = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  json: 'application/json',
} as const;
export type RegisterFormat = keyof typeof registerFormats;
