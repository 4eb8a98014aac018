// A test runner for mutation testing. The tests of core and what they import are bundled into one script, which is compiled
// once and evaluated afresh for every mutant: no state of one mutant reaches the next, nothing is loaded twice, and the
// tests that are quick come first. Random tests run a few cases each, the same ones every time.
import { JestAsymmetricMatchers, JestChaiExpect, JestExtend, GLOBAL_EXPECT, setState } from '@vitest/expect';
import {
  DryRunStatus,
  TestStatus,
  determineHitLimitReached,
  toMutantRunResult,
} from '@stryker-mutator/api/test-runner';
import { PluginKind, declareClassPlugin } from '@stryker-mutator/api/plugin';
import * as chai from 'chai';
import { build } from 'esbuild';
import fc from 'fast-check';
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { relative } from 'node:path';
import { Script } from 'node:vm';
import { keyOf } from './mutant-key.mjs';
import { root } from './root.mjs';

/** s of a processor a change gets; one that has not been noticed by then counts as alive. */
const BUDGET = 15;
/** Where the times of the first run are kept, in the copy that was changed. */
const TIMES = 'test-times.json';
const DEMO = './lib/demo.ts';
/** Random cases of a property that does not say how many. */
const RUNS = 6;
/** Compares the program with itself, and sees little of a wrong figure. */
const LEFT_OUT = ['job/any-document', 'commands/any-machine'];

chai.use(JestExtend);
chai.use(JestChaiExpect);
chai.use(JestAsymmetricMatchers);
const expect = Object.assign((value, message) => chai.expect(value, message), chai.expect);
expect.getState = () => ({});
expect.setState = () => {};
globalThis[GLOBAL_EXPECT] = expect;
setState({ assertionCalls: 0, isExpectingAssertions: false, testPath: '', currentTestName: '' }, expect);
fc.configureGlobal({ numRuns: RUNS, seed: 20_261_126, endOnFailure: true });

/** The test files below a folder of tests, `stages/drive/drive` for stages/drive/drive.test.ts. */
function testFiles(folder) {
  const only = process.env.MUTANTS_TESTS?.split(',');
  return readdirSync(folder, { recursive: true })
    .flatMap((file) => /^(.+)\.test\.ts$/.exec(file)?.[1] ?? [])
    .filter((name) => only?.includes(name) ?? !LEFT_OUT.includes(name));
}

/** The demo’s catalogue is one, wherever a test stands. */
const sharedDemo = {
  name: 'shared-demo',
  setup: ({ onResolve }) => void onResolve({ filter: /\/lib\/demo\.ts$/ }, () => ({ path: DEMO, external: true })),
};

const nameIn = (name) => name.replaceAll(/\W/g, '_');

async function bundle(folder, contents, external, plugins = []) {
  const { outputFiles } = await build({
    stdin: { contents, resolveDir: folder },
    absWorkingDir: process.cwd(),
    bundle: true,
    write: false,
    format: 'cjs',
    platform: 'node',
    target: 'node20',
    external,
    plugins,
    alias: { odex: `${process.cwd()}/node_modules/odex/src/odex.ts` },
    logLevel: 'error',
  });
  return new Script(`(function (require, module, exports) {${outputFiles[0].text}\n})`, { filename: 'core-tests.js' });
}

function evaluated(script, require) {
  const module = { exports: {} };
  script.runInThisContext()(require, module, module.exports);
  return module.exports;
}

/** What test files import from their runner. `tests` is filled by importing them; `loading` names the file. */
function collector(tests, loading) {
  let path = '';
  const describe = (name, body) => {
    const outer = path;
    path += `${name} › `;
    body();
    path = outer;
  };
  const it = (name, run) => tests.push({ id: path + name, run, file: loading() });
  const each = (declare) => (cases) => (name, run) =>
    cases.forEach((one, at) => declare(`${name} [${at}]`, () => (Array.isArray(one) ? run(...one) : run(one))));
  it.each = each(it);
  describe.each = each(describe);
  return { describe, it, expect };
}

class CoreTestRunner {
  #names;
  /** What of core each test file imports itself. */
  #imports;
  /** What each test file says. */
  #texts;
  #script;
  #demo;
  #known;
  /** The changes that are tried; all where it is not said. */
  #chosen = process.env.MUTANTS_CHOSEN && new Set(JSON.parse(readFileSync(process.env.MUTANTS_CHOSEN, 'utf8')));
  #require = createRequire(`${process.cwd()}/core/package.json`);

  capabilities() {
    return { reloadEnvironment: true };
  }

  async init() {
    // The copy that was changed, where mutation testing runs this; not the folder of this file.
    const folder = `${process.cwd()}/core/test`;
    const packages = ['zod', 'fast-check'];
    this.#names = testFiles(folder);
    this.#texts = Object.fromEntries(
      this.#names.map((name) => [name, readFileSync(`${folder}/${name}.test.ts`, 'utf8')]),
    );
    this.#imports = Object.fromEntries(
      this.#names.map((name) => [
        name,
        [...this.#texts[name].matchAll(/from '(?:\.\.\/)+src\/([^']+)'/g)].map(([, path]) => path),
      ]),
    );
    const tests = this.#names.map((name) => `export const ${nameIn(name)} = () => require('./${name}.test.ts');`);
    this.#script = await bundle(folder, tests.join('\n'), ['vitest', ...packages], [sharedDemo]);
    // The demo’s catalogue is made once, by the code as it is.
    this.#demo = evaluated(await bundle(folder, `export * from '${DEMO}';`, packages), this.#require);
  }

  /** Evaluates everything afresh; the tests that stand there then. */
  #fresh() {
    const tests = [];
    let file = '';
    const given = { vitest: collector(tests, () => file), [DEMO]: this.#demo };
    const load = evaluated(this.#script, (name) => given[name] ?? this.#require(name));
    return {
      tests,
      load: (name) => {
        file = name;
        load[nameIn(name)]();
      },
    };
  }

  async dryRun() {
    const stryker = (globalThis.__stryker__ = { mutantCoverage: { static: {}, perTest: {} } });
    const { tests, load } = this.#fresh();
    for (const name of this.#names) load(name);
    const results = [];
    for (const test of tests) {
      stryker.currentTestId = test.id;
      results.push(await this.#result(test));
      stryker.currentTestId = undefined;
    }
    writeFileSync(TIMES, JSON.stringify(Object.fromEntries(results.map(({ id, timeSpentMs }) => [id, timeSpentMs]))));
    return { status: DryRunStatus.Complete, tests: results, mutantCoverage: stryker.mutantCoverage };
  }

  /** Milliseconds of each test in the first run. */
  #times() {
    return (this.#known ??= existsSync(TIMES) ? JSON.parse(readFileSync(TIMES, 'utf8')) : {});
  }

  async mutantRun({ activeMutant, testFilter, hitLimit }) {
    if (this.#chosen && !this.#chosen.has(keyOf(relative(root, activeMutant.fileName), activeMutant)))
      return toMutantRunResult({ status: DryRunStatus.Complete, tests: [] });
    const stryker = (globalThis.__stryker__ = { activeMutant: activeMutant.id });
    if (hitLimit !== undefined) Object.assign(stryker, { hitLimit, hitCount: 0 });
    const changed = /core\/src\/(.+)$/.exec(activeMutant.fileName.replaceAll('\\', '/'))?.[1] ?? '';
    const results = await this.#until(testFilter && new Set(testFilter), changed);
    return toMutantRunResult(
      determineHitLimitReached(stryker.hitCount, hitLimit) ?? { status: DryRunStatus.Complete, tests: results },
    );
  }

  /** How far a test is from a changed file: it imports the file or is called like it, stands in its folder or imports from it, names it, or none of these. */
  #distance({ file }, changed) {
    const imports = this.#imports[file] ?? [];
    if (imports.includes(changed) || changed === `${file}.ts`) return 0;
    const folder = changed.slice(0, changed.lastIndexOf('/') + 1);
    if (`${file}.`.startsWith(folder) || imports.some((path) => path.startsWith(folder))) return 1;
    const stage = /stages\/([\w-]+)\//.exec(changed)?.[1];
    return stage && this.#texts[file].includes(stage) ? 2 : 3;
  }

  /** Runs tests, the nearest and quickest first, until one fails or the time is spent. */
  async #until(wanted, changed) {
    const began = process.cpuUsage();
    const results = [];
    const { tests, load } = this.#fresh();
    try {
      for (const name of this.#names) load(name);
    } catch (error) {
      return [{ id: 'load', name: 'load', status: TestStatus.Failed, failureMessage: String(error), timeSpentMs: 0 }];
    }
    const times = this.#times();
    const ordered = tests
      .filter(({ id }) => wanted?.has(id) ?? true)
      .map((test) => ({ ...test, far: this.#distance(test, changed) }))
      .toSorted((a, b) => a.far - b.far || (times[a.id] ?? 0) - (times[b.id] ?? 0));
    for (const test of ordered) {
      if (process.cpuUsage(began).user / 1e6 > BUDGET) break;
      const result = await this.#result(test);
      results.push(result);
      if (result.status === TestStatus.Failed) break;
    }
    return results;
  }

  async #result({ id, run }) {
    const start = performance.now();
    const rest = () => ({ id, name: id, timeSpentMs: performance.now() - start });
    try {
      await run();
      return { ...rest(), status: TestStatus.Success };
    } catch (error) {
      return { ...rest(), status: TestStatus.Failed, failureMessage: String(error) };
    }
  }
}

export const strykerPlugins = [declareClassPlugin(PluginKind.TestRunner, 'core', CoreTestRunner)];
