import { issuesOf, type Catalogue } from '@pilgrim/core';
import { catalogueSchema } from '@pilgrim/core/catalogue/catalogue';
import { brokenText, readText } from '../read-json.ts';

/** A catalogue out of a file, or what is wrong with it, in a few lines. */
export type CatalogueRead = { readonly catalogue: Catalogue } | { readonly problems: readonly string[] };

const TOLD = 5;

export function readCatalogue(bytes: Uint8Array): CatalogueRead {
  let content: unknown;
  try {
    content = readText(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return { problems: ['This is not complete JSON in UTF-8. The file may have been cut short.'] };
  }
  const broken = brokenText(content);
  if (broken) return { problems: [`${broken.path || 'file'}: ${broken.message}`] };
  const parsed = catalogueSchema.safeParse(content);
  if (parsed.success) {
    if (parsed.data.name.trim() === '') return { problems: ['name: A catalogue needs a name.'] };
    return { catalogue: parsed.data };
  }
  const issues = issuesOf(parsed.error);
  const told = issues.slice(0, TOLD).map(({ path, message }) => `${path || 'file'}: ${message}`);
  return { problems: issues.length > TOLD ? [...told, `and ${issues.length - TOLD} more`] : told };
}
