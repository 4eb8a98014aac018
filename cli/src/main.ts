import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import {
  catalogueSchema,
  emptyCatalogue,
  emptyJob,
  issuesOf,
  jobSchema,
  jobJsonSchema,
  machineJsonSchema,
  solutionJsonSchema,
  solve,
  solveByBoth,
  type Catalogue,
  type Issue,
  type Solution,
} from '@pilgrim/core';
import { termList } from '@pilgrim/core/commands/term-list';
import { valueList } from '@pilgrim/core/commands/value-list';
import { drawSlice } from '@pilgrim/core/solve/risk/draw';
import { judgeRisk } from '@pilgrim/core/solve/risk/judge';
import { riskModelOf } from '@pilgrim/core/solve/risk/risk-model';
import { readMachine, runMachine } from '@pilgrim/core/commands/machine';
import type { FieldSpec } from '@pilgrim/core/kernel/field';
import { checkField } from '@pilgrim/core/kernel/read-field';
import { quantityFields } from '@pilgrim/core/job/fields';
import { letters } from '@pilgrim/core/job/document-paths';
import { readPlate, type PlateDoubt, type TokenState } from '@pilgrim/core/stages/nameplate/read/read-plate';
import { demoCatalogue } from '@pilgrim/db/demo/catalogue';

const USAGE = `usage: pilgrim solve job.json|-  [--catalogue catalogue.json] [--option A]
       pilgrim risk job.json|-   [--catalogue catalogue.json] [--draws 4000] [--seed 1]
       pilgrim decode plate.txt|- [--volts 460] [--hz 60] [--strict]
       pilgrim machine machine.json|-
       pilgrim schema job|solution|machine
       pilgrim values

solve prints the solution of a job with all its options and what is proposed beside them, with --option that of one
of them, risk what its options may cost where hours, prices, loads and lives turn out otherwise, decode that of a nameplate with every word of it and what was not believed, machine the steady points and extremes
of a per-phase circuit or of a plate and, with an inertia, its run-up, schema a JSON Schema, values
what every published value is called and counted in.
Exit code 0, or 2 with a list of issues as JSON on standard error. decode lists there what it did not believe and exits
with 0 all the same; with --strict it exits with 2.`;

interface Flags {
  readonly volts?: string | undefined;
  readonly hz?: string | undefined;
  readonly catalogue?: string | undefined;
  readonly strict?: boolean | undefined;
  readonly option?: string | undefined;
  readonly draws?: string | undefined;
  readonly seed?: string | undefined;
}

/** What a person can mend: printed as issues, exit code 2. */
class BadInput extends Error {
  readonly issues: readonly Issue[];
  constructor(issues: readonly Issue[]) {
    super(issues[0]?.message ?? 'bad input');
    this.issues = issues;
  }
}

const report = (issues: readonly Issue[]): void => void process.stderr.write(`${JSON.stringify(issues, null, 2)}\n`);

/** How a typed quantity of the supply is read. */
const quantityOf = (path: 'supply.voltage' | 'supply.frequency'): FieldSpec =>
  path === 'supply.voltage' ? quantityFields.supply.voltage : quantityFields.supply.frequency;

const bad = (path: string, message: string): BadInput => new BadInput([{ path, message }]);

function readText(name: string | undefined): string {
  if (name === undefined) throw bad('', USAGE);
  try {
    return readFileSync(name === '-' ? 0 : name, 'utf8');
  } catch (error) {
    throw bad(name, error instanceof Error ? `Cannot be read: ${error.message}` : 'Cannot be read.');
  }
}

function readJson(name: string | undefined): unknown {
  const text = readText(name);
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    throw bad(name ?? '', `Not JSON: ${error instanceof Error ? error.message : 'unreadable'}`);
  }
}

function readCatalogue(name: string | undefined): Catalogue {
  if (name === undefined) return demoCatalogue();
  const parsed = catalogueSchema.safeParse(readJson(name));
  if (!parsed.success) throw new BadInput(issuesOf(parsed.error));
  return parsed.data;
}

/** Fields that cannot be read are for a screen to show; a script is refused. */
function refuseUnreadable(solution: Solution): Solution {
  const issues = Object.entries(solution.fields).flatMap(([path, { error }]) =>
    error ? [{ path, message: error }] : [],
  );
  if (issues.length > 0) throw new BadInput(issues);
  return solution;
}

/** All options, or one of them: taken into the job if it is proposed only, and made the chosen one. */
function solveCommand(file: string | undefined, { catalogue: name, option }: Flags): Solution {
  const parsed = jobSchema.safeParse(readJson(file));
  if (!parsed.success) throw new BadInput(issuesOf(parsed.error));
  const job = parsed.data;
  const catalogue = readCatalogue(name);
  const all = refuseUnreadable(solveByBoth(job, catalogue));
  if (option === undefined) return all;
  const letter = letters.find((each) => each === option.toUpperCase() && all.options[each]);
  const asked = letter && all.options[letter];
  if (!asked) throw bad('option', `There is no option ${option}; this job has ${Object.keys(all.options).join(', ')}.`);
  const says = job.options[letter] ?? asked.says;
  const one = solveByBoth(
    { ...job, chosen: letter, options: { ...job.options, ...(says ? { [letter]: says } : {}) } },
    catalogue,
  );
  return { ...one, options: { [letter]: one.options[letter] } };
}

const MOST_DRAWS = 100_000;
const MOST_SEED = 2_147_483_647;

function whole(path: string, typed: string | undefined, usual: number, most: number): number {
  const number = typed === undefined ? usual : Number(typed);
  if (!Number.isInteger(number) || number < 1 || number > most)
    throw bad(path, `Write a whole number from 1 to ${most}, for example ${usual}.`);
  return number;
}

/** What the options of a job may cost where figures turn out otherwise; the same for the same seed. */
function riskCommand(file: string | undefined, { catalogue: name, draws, seed }: Flags): unknown {
  const count = whole('draws', draws, 4000, MOST_DRAWS);
  const from = whole('seed', seed, 1, MOST_SEED);
  const parsed = jobSchema.safeParse(readJson(file));
  if (!parsed.success) throw new BadInput(issuesOf(parsed.error));
  const catalogue = readCatalogue(name);
  refuseUnreadable(solve(parsed.data, catalogue));
  const model = riskModelOf(parsed.data, catalogue);
  const risk = judgeRisk(model, drawSlice(model, from, 0, count));
  if (!risk)
    throw bad('money', 'No option has its costs known yet: type hours, a price of energy and what makes a pick.');
  return { seed: from, ...risk };
}

/** One word of the plate, as a script reads it. */
interface Word {
  readonly text: string;
  readonly field: string;
  readonly state: TokenState;
  readonly why: string;
}

type Decoded = Solution & { readonly words: readonly Word[]; readonly notBelieved: readonly PlateDoubt[] };

/**
 * A damaged plate is normal input: what was read is solved, what was not believed stands beside it and on standard error.
 */
function decodeCommand(file: string | undefined, { volts, hz, strict = false }: Flags): Decoded {
  const plate = readPlate(readText(file));
  for (const [path, typed] of [
    ['supply.voltage', volts],
    ['supply.frequency', hz],
  ] as const) {
    const wrong = typed === undefined ? undefined : checkField(typed, quantityOf(path), plate.school);
    if (wrong !== undefined) throw bad(path, wrong);
  }
  if (Object.keys(plate.fields).length < 2)
    throw bad(
      'plate',
      'Nothing on this plate could be read. Write it like: HP 15 RPM 1770 V 230/460 A 38/19 HZ 60 SF 1.15',
    );
  const job = emptyJob({
    school: plate.school,
    situation: { kind: 'starter' },
    nameplate: plate.fields,
    supply: { ...(volts === undefined ? {} : { voltage: volts }), ...(hz === undefined ? {} : { frequency: hz }) },
  });
  const issues = plate.doubts.map(({ text, field, why }) => ({
    path: field === undefined ? 'plate' : `nameplate.${field}`,
    message: `“${text}”: ${why}`,
  }));
  if (issues.length > 0 && strict) throw new BadInput(issues);
  if (issues.length > 0) report(issues);
  return {
    ...solve(job, emptyCatalogue),
    words: plate.tokens.map(({ text, field = '', state, note = '' }) => ({ text, field, state, why: note })),
    notBelieved: plate.doubts,
  };
}

/** A circuit or a plate as a machine: how the motor model is checked from outside. */
function machineCommand(file: string | undefined): unknown {
  const read = readMachine(readJson(file));
  if ('issues' in read) throw new BadInput(read.issues);
  const result = runMachine(read.machine);
  if ('issues' in result) throw new BadInput(result.issues);
  return result;
}

function schemaCommand(which: string | undefined): unknown {
  if (which === 'job') return jobJsonSchema();
  if (which === 'solution') return solutionJsonSchema();
  if (which === 'machine') return machineJsonSchema();
  throw bad('schema', 'Choose job, solution or machine.');
}

function run(): unknown {
  let args;
  try {
    args = parseArgs({
      allowPositionals: true,
      options: {
        volts: { type: 'string' },
        hz: { type: 'string' },
        catalogue: { type: 'string' },
        strict: { type: 'boolean' },
        option: { type: 'string' },
        draws: { type: 'string' },
        seed: { type: 'string' },
        help: { type: 'boolean', short: 'h' },
      },
    });
  } catch (error) {
    throw bad('', error instanceof Error ? error.message : USAGE);
  }
  const { positionals, values } = args;
  const [command, file] = positionals;
  if (values.help) return undefined;
  if (command === 'solve') return solveCommand(file, values);
  if (command === 'risk') return riskCommand(file, values);
  if (command === 'decode') return decodeCommand(file, values);
  if (command === 'machine') return machineCommand(file);
  if (command === 'schema') return schemaCommand(file);
  if (command === 'values') return valueList();
  if (command === 'terms') return termList();
  throw bad('', USAGE);
}

try {
  const result = run();
  process.stdout.write(result === undefined ? `${USAGE}\n` : `${JSON.stringify(result, null, 2)}\n`);
} catch (error) {
  if (!(error instanceof BadInput)) throw error;
  report(error.issues);
  process.exitCode = 2;
}
