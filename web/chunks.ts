/** What the bundler knows of the modules. */
interface Modules {
  readonly getModuleInfo: (id: string) => { readonly importers: readonly string[]; readonly isEntry: boolean } | null;
}

/**
 * How the scripts of the browser are cut into files. Cut finest, a job's page asks for some fifty of them, most under a
 * kilobyte, and waits longer for the asking than for what comes.
 */

/** From how many of the stages a part is wanted to come with all of them. */
const MANY = 4;

const isShell = (id: string): boolean =>
  /runtime\/client\/entry\.js$|client-optimized\/app\.js$|\/routes\/\+layout\.svelte$/.test(id);
const isJob = (id: string): boolean =>
  /\/routes\/jobs\/\[id\]\/(\+layout|\[\[stage=stage\]\]\/\+page)\.(svelte|ts)$/.test(id);
const isPage = (id: string): boolean => /\/routes\/.*\+(page|layout)\.(svelte|ts)$/.test(id);
/** What screens are made of; what only some of them reckon with stays by itself. */
const isScreen = (id: string): boolean => /\/web\/src\/|\/(flowbite|tailwind)/.test(id);
const isStage = (id: string): boolean => /\/lib\/stages\/\w+\/\w+View\.svelte$/.test(id);

/** What names a whole set brings no more of it along than is used. */
const isSet = (id: string): boolean => /\/flowbite-svelte(-icons)?\/dist\/.*index\.js$/.test(id);

const known = new Map<string, readonly string[]>();
/** A module and all that bring it along without a further wait: pages, views of stages and the like. */
function bringers(id: string, context: Modules): readonly string[] {
  const found = known.get(id);
  if (found) return found;
  const reached = new Set([id]);
  for (const each of reached)
    for (const importer of context.getModuleInfo(each)?.importers ?? []) if (!isSet(importer)) reached.add(importer);
  const all = [...reached];
  known.set(id, all);
  return all;
}

type Fits = (by: readonly string[], id: string) => boolean;
interface Group {
  readonly debugName: string;
  readonly name: (id: string, context: Modules) => string | null;
}
/** One file for all that `fits`; files earlier in the list take what fits several. */
const together = (debugName: string, fits: Fits): Group => ({
  debugName,
  name: (id, context) => (!context.getModuleInfo(id)?.isEntry && fits(bringers(id, context), id) ? debugName : null),
});

const groups = [
  together('shell', (by) => by.some(isShell)),
  together('shared', (by) => by.some(isJob) && by.some((id) => isPage(id) && !isJob(id))),
  together('job', (by) => by.some(isJob)),
  together('bench', (by, id) => isScreen(id) && by.filter(isStage).length >= MANY),
];

export const codeSplitting = { groups: groups.map((group, at) => ({ ...group, priority: groups.length - at })) };
