/** What files are kept as, and the type of each. */
const types = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  json: 'application/json',
  pdf: 'application/pdf',
} as const;

const registerFormats = ['csv', 'xlsx', 'json'] as const;
export type RegisterFormat = (typeof registerFormats)[number];
const scheduleFormats = ['csv', 'xlsx', 'pdf'] as const;
export type ScheduleFormat = (typeof scheduleFormats)[number];

const among =
  <Format extends keyof typeof types>(formats: readonly Format[]) =>
  (asked: string): Format | undefined =>
    formats.find((each) => each === asked);
export const registerFormat = among(registerFormats);
export const scheduleFormat = among(scheduleFormats);

/** A file to keep; a PDF is shown. `name` is plain. */
export const fileResponse = (bytes: Uint8Array<ArrayBuffer>, name: string, format: keyof typeof types): Response =>
  new Response(bytes, {
    headers: {
      'content-type': types[format],
      'content-disposition': `${format === 'pdf' ? 'inline' : 'attachment'}; filename="${name}.${format}"`,
    },
  });

const LONGEST = 40;
/** What somebody typed as part of a file's name. */
export const plainName = (typed: string): string => typed.replaceAll(/[^\w-]+/g, '-').slice(0, LONGEST);
