import { issuesOf, jobSchema, type Job } from '@pilgrim/core';
import { json } from '@sveltejs/kit';
import { z } from 'zod';

/** A refusal in the words of the fields it concerns. */
export const refuse = (status: 400 | 409 | 413 | 422, issues: readonly { path: string; message: string }[]): Response =>
  json({ issues }, { status });

const MOST_BYTES = 524_288;

type Read<T> = { readonly value: T } | { readonly refusal: Response };

/** Reads a request body as JSON of a given shape; half a file, a wrong shape or hostile text is refused, never thrown. */
export async function readJson<T>(request: Request, schema: z.ZodType<T>): Promise<Read<T>> {
  const tooLarge = {
    refusal: refuse(413, [{ path: '', message: 'The file is too large; a job is well under 500 kB.' }]),
  };
  let body: unknown;
  try {
    const text = await request.text();
    if (text.length > MOST_BYTES) return tooLarge;
    body = JSON.parse(text) as unknown;
  } catch (cause) {
    if (cause instanceof Error && 'status' in cause && cause.status === 413) return tooLarge;
    return {
      refusal: refuse(400, [
        { path: '', message: 'This is not complete JSON. Export a job to see what one looks like.' },
      ]),
    };
  }
  const parsed = schema.safeParse(withoutNulls(body));
  return parsed.success ? { value: parsed.data } : { refusal: refuse(422, issuesOf(parsed.error)) };
}

/** PostgreSQL cannot hold U+0000 in text; nobody types it on purpose. */
function withoutNulls(value: unknown): unknown {
  if (typeof value === 'string') return value.replaceAll('\u0000', '');
  if (Array.isArray(value)) return value.map(withoutNulls);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, each]) => [key.replaceAll('\u0000', ''), withoutNulls(each)]),
  );
}

export const readJob = (request: Request): Promise<Read<Job>> => readJson(request, jobSchema);

export const saveSchema = z.strictObject({ base: z.number().int().positive(), document: jobSchema });
