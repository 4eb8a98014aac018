import { issuesOf, jobSchema, type Job } from '@pilgrim/core';
import { json } from '@sveltejs/kit';
import { z } from 'zod';

export interface SaidIssue {
  readonly path: string;
  readonly message: string;
}

/** A refusal in the words of the fields it concerns. */
export const refuse = (status: 400 | 409 | 413 | 415 | 422, issues: readonly SaidIssue[]): Response =>
  json({ issues }, { status });

const MOST_BYTES = 524_288;
/** Brackets within brackets; a job has five. */
const DEEPEST = 40;
/** PostgreSQL’s integer. */
const MOST_REVISIONS = 2_147_483_647;

type Read<T> = { readonly value: T } | { readonly refusal: Response };

const refusal = (status: Parameters<typeof refuse>[0], message: string): { refusal: Response } => ({
  refusal: refuse(status, [{ path: '', message }]),
});
const tooLarge = () => refusal(413, 'The file is too large; a job is well under 500 kB.');

/** Reads a request body as JSON of a given shape; half a file, a wrong shape or hostile text is refused, never thrown. */
export async function readJson<T>(request: Request, schema: z.ZodType<T>): Promise<Read<T>> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/(?:[\w.-]+\+)?json\b/i.test(type))
    return refusal(415, 'Send JSON, with the content type application/json.');
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) return tooLarge();
  let body: unknown;
  try {
    const bytes = await request.arrayBuffer();
    if (bytes.byteLength > MOST_BYTES) return tooLarge();
    body = readText(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch (cause) {
    if (cause instanceof Error && 'status' in cause && cause.status === 413) return tooLarge();
    return refusal(400, 'This is not complete JSON in UTF-8. Export a job to see what one looks like.');
  }
  const broken = brokenText(body);
  if (broken) return { refusal: refuse(422, [broken]) };
  const parsed = schema.safeParse(body);
  return parsed.success ? { value: parsed.data } : { refusal: refuse(422, issuesOf(parsed.error)) };
}

/** JSON as a value. Throws where it is none or nested without end. */
export function readText(text: string): unknown {
  if (depthOf(text) > DEEPEST) throw new SyntaxError('nested too deep');
  return JSON.parse(text) as unknown;
}

/** Brackets that stand open at most, those in text left out. */
function depthOf(text: string): number {
  let depth = 0;
  let most = 0;
  let quoted = false;
  for (let at = 0; at < text.length; at++) {
    const sign = text[at];
    if (quoted) {
      if (sign === '\\') at++;
      else if (sign === '"') quoted = false;
    } else if (sign === '"') quoted = true;
    else if (sign === '{' || sign === '[') most = Math.max(most, ++depth);
    else if (sign === '}' || sign === ']') depth--;
  }
  return most;
}

/** Where a document holds what cannot be stored: U+0000, or half of a character of two units. */
export function brokenText(value: unknown, path = ''): SaidIssue | undefined {
  if (typeof value === 'string') return isStorable(value) ? undefined : { path, message: BROKEN };
  if (typeof value !== 'object' || value === null) return undefined;
  for (const [key, each] of Object.entries(value)) {
    if (!isStorable(key)) return { path, message: BROKEN };
    const broken = brokenText(each, path === '' ? key : `${path}.${key}`);
    if (broken) return broken;
  }
  return undefined;
}

const BROKEN = 'This text holds a broken character. Type it again, or paste it as plain text.';

/** Whether PostgreSQL can hold a text. */
const isStorable = (text: string): boolean => !text.includes('\0') && !/\p{Surrogate}/u.test(text);

export const readJob = (request: Request): Promise<Read<Job>> => readJson(request, jobSchema);

/** A revision that something is saved over. */
export const baseSchema = z.number().int().positive().max(MOST_REVISIONS);
export const saveSchema = z.strictObject({ base: baseSchema, document: jobSchema });
