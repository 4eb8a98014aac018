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
  type Catalogue,
  type Issue,
  type Solution,
} from '@pilgrim/core';
import { readMachine, runMachine } from '@pilgrim/core/motor/machine';
import { readPlate } from '@pilgrim/core/nameplate/read/read-plate';
import { demoCatalogue } from '@pilgrim/db/demo/catalogue';

const USAGE = `usage: pilgrim solve job.json|-  [--catalogue catalogue.json]
       pilgrim decode plate.txt|- [--volts 460] [--hz 60]
       pilgrim machine machine.json|-
       pilgrim schema job|solution|machine

solve prints the solution of a job, decode that of a nameplate, machine the steady points and extremes
of a per-phase circuit or of a plate and, with an inertia, its run-up, schema a JSON Schema.
Exit code 0, or 2 with a list of issues as JSON on standard error.`;

/** What a person can mend: printed as issues, exit code 2. */
class BadInput extends Error {
  readonly issues: readonly Issue[];
  constructor(issues: readonly Issue[]) {
    super(issues[0]?.message ?? 'bad input');
    this.issues = issues;
  }
}

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

function solveCommand(file: string | undefined, catalogue: string | undefined): Solution {
  const parsed = jobSchema.safeParse(readJson(file));
  if (!parsed.success) throw new BadInput(issuesOf(parsed.error));
  return refuseUnreadable(solve(parsed.data, readCatalogue(catalogue)));
}

function decodeCommand(file: string | undefined, volts: string | undefined, hz: string | undefined): Solution {
  const plate = readPlate(readText(file));
  const known = Object.keys(plate.fields).length > 1;
  if (!known)
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
  return refuseUnreadable(solve(job, emptyCatalogue));
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
        help: { type: 'boolean', short: 'h' },
      },
    });
  } catch (error) {
    throw bad('', error instanceof Error ? error.message : USAGE);
  }
  const { positionals, values } = args;
  const [command, file] = positionals;
  if (values.help) return undefined;
  if (command === 'solve') return solveCommand(file, values.catalogue);
  if (command === 'decode') return decodeCommand(file, values.volts, values.hz);
  if (command === 'machine') return machineCommand(file);
  if (command === 'schema') return schemaCommand(file);
  throw bad('', USAGE);
}

try {
  const result = run();
  process.stdout.write(result === undefined ? `${USAGE}\n` : `${JSON.stringify(result, null, 2)}\n`);
} catch (error) {
  if (!(error instanceof BadInput)) throw error;
  process.stderr.write(`${JSON.stringify(error.issues, null, 2)}\n`);
  process.exitCode = 2;
}
