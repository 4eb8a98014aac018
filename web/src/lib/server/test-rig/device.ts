/** The simulated rig as a process of its own: `node rig.js PORT`. Modbus TCP on loopback; the register map stands in docs/rig.md. */
import { createServer } from 'node:net';
import { server } from 'jsmodbus';
import {
  BLOWER_BASE,
  HOLDING_REGISTERS,
  INPUT_REGISTERS,
  PRACTICE_HOLDING,
  PRACTICE_INPUT,
  practiceOf,
  practiceRegisters,
  readBy,
  settingOf,
  RIG_HOLDING,
  settingRegisters,
  stateRegisters,
  toRegisters,
  type Readings,
} from '@pilgrim/core/test-rig/registers';
import { atRest, fromTheBox, practiceRun, practiceStart } from '@pilgrim/core/test-rig/practice';
import { dampedBlower, drivenBlower, meters, rigStart, type BlowerState, type Meter } from '@pilgrim/core/test-rig/rig';

/** Bytes of a register; ms between two samples of the meters. */
const WIDE = 2;
const SAMPLED = 200;

const holding = Buffer.alloc(HOLDING_REGISTERS * WIDE);
const input = Buffer.alloc(INPUT_REGISTERS * WIDE);
const write = (into: Buffer, base: number, values: readonly number[]): void => {
  for (const [at, value] of values.entries()) into.writeUInt16BE(value, (base + at) * WIDE);
};

/** Off by anything its error allows. */
function measured(state: BlowerState): Readings {
  const read = (meter: Meter): [Meter, number] => [meter, readBy(meter, state[meter], 2 * Math.random() - 1)];
  return Object.fromEntries((Object.keys(meters) as Meter[]).map(read)) as unknown as Readings;
}

const held = (from: number, count: number): number[] =>
  Array.from({ length: count }, (_, at) => holding.readUInt16BE((from + at) * WIDE));

/** The drive to practise on goes on by the time that passed; what stalled for long is not caught up with. */
let practised = practiceStart;
let since = performance.now();
const LONGEST = 1;
function practise(): void {
  const now = performance.now();
  const { setting, hand } = practiceOf(held(PRACTICE_HOLDING, HOLDING_REGISTERS - PRACTICE_HOLDING));
  // A reset brings a new motor where the old one has burnt.
  if (hand.reset && !hand.run && practised.trip === 'winding burnt') practised = practiceStart;
  practised = practiceRun(practised, setting, hand, Math.min(LONGEST, (now - since) / 1000));
  since = now;
  write(holding, PRACTICE_HOLDING, practiceRegisters(setting, { ...hand, reset: false }));
  write(input, PRACTICE_INPUT, stateRegisters(practised));
}

/** What was written is held within what the rig can do, and the meters follow it. */
function sample(): void {
  practise();
  const setting = settingOf(held(0, RIG_HOLDING));
  write(holding, 0, settingRegisters(setting));
  write(input, BLOWER_BASE[0], toRegisters(measured(dampedBlower(setting))));
  write(input, BLOWER_BASE[1], toRegisters(measured(drivenBlower(setting))));
}

write(holding, 0, settingRegisters(rigStart));
write(holding, PRACTICE_HOLDING, practiceRegisters(fromTheBox, atRest));
sample();
setInterval(sample, SAMPLED);

const wire = createServer();
const device = new server.TCP(wire, { holding, input });
device.on('postWriteSingleRegister', sample);
device.on('postWriteMultipleRegisters', sample);
// A line that breaks ends itself, not the rig.
wire.on('connection', (line) => line.on('error', () => line.destroy()));
wire.listen(Number(process.argv[2]), '127.0.0.1');
