/** ms between two signs of life. */
const OFTEN = 15_000;

/** Says what is being done, and that it still is while it takes long. */
export async function patiently(doing, work) {
  process.stderr.write(`${doing} …\n`);
  const began = Date.now();
  const sign = setInterval(() => {
    process.stderr.write(`  still at it, ${Math.round((Date.now() - began) / 1000)} s\n`);
  }, OFTEN);
  try {
    return await work();
  } finally {
    clearInterval(sign);
  }
}
