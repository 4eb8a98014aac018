// A worker that does what a paper’s size says: never ends, takes all memory, throws, or answers.
export default function work({ size }) {
  if (size === 'hangs') for (;;);
  if (size === 'hogs') {
    const kept = [];
    for (;;) kept.push(new Array(1e6).fill(kept.length));
  }
  if (size === 'throws') throw new Error('a mistake of the program');
  return { kind: 'paper', bytes: new Uint8Array([1]) };
}
