/** The simulated rig as a process of its own: `node rig.js PORT`. Modbus TCP on loopback; the register map stands in docs/rig.md. */
import { createServer } from 'node:net';
import { server } from 'jsmodbus';
import {
  BLOWER_BASE,
  HOLDING_REGISTERS,
  INPUT_REGISTERS,
  readBy,
  settingOf,
  settingRegisters,
  toRegisters,
  type Readings,
} from '@pilgrim/core/rig/registers';
import { dampedBlower, drivenBlower, meters, rigStart, type BlowerState, type Meter } from '@pilgrim/core/rig/rig';

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

/** What was written is held within what the rig can do, and the meters follow it. */
function sample(): void {
  const setting = settingOf(Array.from({ length: HOLDING_REGISTERS }, (_, at) => holding.readUInt16BE(at * WIDE)));
  write(holding, 0, settingRegisters(setting));
  write(input, BLOWER_BASE[0], toRegisters(measured(dampedBlower(setting))));
  write(input, BLOWER_BASE[1], toRegisters(measured(drivenBlower(setting))));
}

write(holding, 0, settingRegisters(rigStart));
sample();
setInterval(sample, SAMPLED);

const wire = createServer();
const device = new server.TCP(wire, { holding, input });
device.on('postWriteSingleRegister', sample);
device.on('postWriteMultipleRegisters', sample);
// A line that breaks ends itself, not the rig.
wire.on('connection', (line) => line.on('error', () => line.destroy()));
wire.listen(Number(process.argv[2]), '127.0.0.1');
