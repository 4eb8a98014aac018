/** Options of a job by their letters, which stay theirs when another is dropped. */
export const letters = ['A', 'B', 'C', 'D'] as const;
export type Letter = (typeof letters)[number];

/** Names of the fields of which every option has its own, by stage. */
export type OwnNames = Readonly<Record<string, readonly string[]>>;

/** Where a field of a stage stands in the document: `starting.method` of option B at `options.B.starting.method`. */
export function placeIn(own: OwnNames, path: string, letter: Letter): string {
  const [stage = '', name = ''] = path.split('.', 2);
  return own[stage]?.includes(name) ? `options.${letter}.${path}` : path;
}

/** The field of a stage that stands at a place of the document, and whose it is. */
export function fieldAt(place: string): { readonly path: string; readonly letter: Letter | undefined } {
  const letter = letters.find((each) => place.startsWith(`options.${each}.`));
  return { path: letter ? place.slice(`options.${letter}.`.length) : place, letter };
}
