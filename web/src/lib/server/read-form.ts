import { error } from '@sveltejs/kit';

/** A form as it was sent; 400 where it is broken off or none, 413 where it is too large. */
export async function readForm(request: Request): Promise<FormData> {
  try {
    return await request.formData();
  } catch (cause) {
    if (cause instanceof Error && 'status' in cause && cause.status === 413) error(413, 'The form is too large.');
    error(400, 'The form arrived broken. Send it again.');
  }
}

/** A typed text of a form, without what cannot be stored; empty where it is missing or a file. */
export function typedIn(form: FormData, name: string): string {
  const value = form.get(name);
  return typeof value === 'string' ? value.replaceAll('\0', '').toWellFormed().trim() : '';
}
