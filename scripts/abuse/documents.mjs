// Arbitrary documents that the schema accepts: each has an answer within its bound.
import { spawnSync } from 'node:child_process';
import { build } from 'esbuild';
import { Failure } from '../lib/failure.mjs';
import { root } from '../lib/root.mjs';

/** ms a solve may take. */
const LIMIT = 50;

/** A slice says nothing of speed. */
export async function documents({ sliced }, count, seed) {
  // As one file, as the worker that solves them is.
  const outfile = `${root}/node_modules/.cache/abuse/solve-any.mjs`;
  const entryPoints = [`${root}/scripts/lib/solve-any.mjs`];
  await build({ entryPoints, outfile, bundle: true, platform: 'node', format: 'esm', logLevel: 'error' });
  const run = spawnSync(process.execPath, [outfile, count, seed, LIMIT].map(String), { cwd: root, encoding: 'utf8' });
  if (run.status !== 0) throw new Failure(run.stderr);
  const { broken, median, late, most, slow, over } = JSON.parse(run.stdout);
  return {
    figure:
      `${count} documents: median ${median.toFixed(1)} ms, one in a thousand ${late.toFixed(0)}, longest ${most.toFixed(0)}; ` +
      `${slow} over ${LIMIT} ms at first, ${over.length} at a second look, ${broken.length} exceptions`,
    bad: [...broken, ...(sliced ? [] : over)],
  };
}
