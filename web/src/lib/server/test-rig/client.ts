import { Socket } from 'node:net';
import { json } from '@sveltejs/kit';
import { client } from 'jsmodbus';
import { refuse } from '../read-json';
import {
  BLOWER_BASE,
  fromRegisters,
  HOLDING_REGISTERS,
  INPUT_REGISTERS,
  PRACTICE_HOLDING,
  PRACTICE_INPUT,
  practiceOf,
  practiceRegisters,
  stateOf,
  type Practice,
  settingOf,
  settingRegisters,
  type Readings,
  type RigState,
} from '@pilgrim/core/test-rig/registers';
import type { RigSetting } from '@pilgrim/core/test-rig/rig';

const UNIT = 1;
/** ms for a line to the rig and for each answer. */
const PATIENCE = 2000;

/** Where the rig listens on loopback; undefined where none was started. */
const portOf = (): number | undefined => Number(process.env['PILGRIM_RIG']) || undefined;

class NoRig extends Error {}

type Line = InstanceType<typeof client.TCP>;

/** One line for one exchange, so that none is left where the rig went away. Throws `NoRig` where it does not answer. */
async function withRig<T>(exchange: (line: Line) => Promise<T>): Promise<T> {
  const port = portOf();
  if (port === undefined) throw new NoRig('No rig was started with this Pilgrim. It comes with the demo: npm start.');
  const socket = new Socket();
  // Before it connects: the client waits for that.
  const line = new client.TCP(socket, UNIT, PATIENCE);
  try {
    await new Promise<void>((resolve, reject) => {
      socket.setTimeout(PATIENCE, () => reject(new Error('timeout')));
      socket.once('error', reject);
      socket.connect(port, '127.0.0.1', resolve);
    });
    return await exchange(line);
  } catch {
    throw new NoRig('The rig does not answer just now. Try again in a moment.');
  } finally {
    socket.destroy();
  }
}

const numbers = (values: readonly number[] | Uint16Array | Buffer): number[] => Array.from(values);

async function readState(line: Line): Promise<RigState> {
  const held = await line.readHoldingRegisters(0, HOLDING_REGISTERS);
  const read = await line.readInputRegisters(0, INPUT_REGISTERS);
  const registers = numbers(read.response.body.values);
  const at = (base: number): Readings => fromRegisters(registers.slice(base));
  return {
    setting: settingOf(numbers(held.response.body.values)),
    blowers: [at(BLOWER_BASE[0]), at(BLOWER_BASE[1])],
  };
}

export const readRig = (): Promise<RigState> => withRig(readState);

/** Sets the rig and reads it again. */
export const setRig = (setting: RigSetting): Promise<RigState> =>
  withRig(async (line) => {
    await line.writeMultipleRegisters(0, settingRegisters(setting));
    return readState(line);
  });

async function practiceNow(line: Line): Promise<Practice> {
  const held = await line.readHoldingRegisters(PRACTICE_HOLDING, HOLDING_REGISTERS - PRACTICE_HOLDING);
  const read = await line.readInputRegisters(PRACTICE_INPUT, INPUT_REGISTERS - PRACTICE_INPUT);
  return {
    ...practiceOf(numbers(held.response.body.values)),
    state: stateOf(numbers(read.response.body.values)),
  };
}

export const readPractice = (): Promise<Practice> => withRig(practiceNow);

/** Sets the drive to practise on and what a hand does at it, and reads it again. */
export const setPractice = ({ setting, hand }: Pick<Practice, 'setting' | 'hand'>): Promise<Practice> =>
  withRig(async (line) => {
    await line.writeMultipleRegisters(PRACTICE_HOLDING, practiceRegisters(setting, hand));
    return practiceNow(line);
  });

/** What the rig answers as JSON, or why it does not. */
export async function answered(exchange: () => Promise<unknown>): Promise<Response> {
  try {
    return json(await exchange());
  } catch (cause) {
    if (cause instanceof NoRig) return refuse(409, [{ path: '', message: cause.message }]);
    throw cause;
  }
}
