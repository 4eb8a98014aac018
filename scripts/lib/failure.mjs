/** Something the person at the terminal can mend: printed as one sentence, exit code 1. */
export class Failure extends Error {}

/** Runs a script's main function and turns a Failure into its one sentence. */
export async function main(run) {
  try {
    await run();
  } catch (error) {
    if (!(error instanceof Failure)) throw error;
    process.stderr.write(`pilgrim: ${error.message}\n`);
    process.exitCode = 1;
  }
}
