/** Recorded logs: which columns are taken for what, and what becomes of bare, clock and broken times. */
import { describe, expect, it } from 'vitest';
import { binLog, previewLog } from '../../src/lib/load/read-log';
import { timeStepOf } from '../../src/lib/load/time-step';

const preview = (text: string) => previewLog(new Blob([text]));
const rows = (line: (at: number) => string) => Array.from({ length: 20 }, (_, at) => line(at)).join('\n');

describe('the columns of a log', () => {
  it.each<[string, string, number, number, number]>([
    ['seconds and amperes', `s;current A\n${rows((at) => `${at};20`)}`, 0, 1, 1],
    ['milliseconds in brackets', `t [ms],n [rpm],torque [N·m]\n${rows((at) => `${at * 100},1480,${at}`)}`, 0, 2, 0.001],
    ['the load first', `Motor current (A)\tTime (min)\n${rows((at) => `20\t${at}`)}`, 1, 0, 60],
    ['clock times without a heading', rows((at) => `08:00:${String(at).padStart(2, '0')},41`), 0, 1, 1],
    ['figures alone', rows((at) => `${at},41`), -1, 0, 1],
  ])('%s', async (_, text, time, value, step) => {
    const found = await preview(text);
    expect({ time: found.time, value: found.value }).toEqual({ time, value });
    expect(timeStepOf(found.header[time] ?? '')).toBe(step);
  });

  it.each([
    ['', 'empty'],
    ['torque\u0000', 'not a table of text'],
    ['a,b\nc,d\ne,f', 'No column of figures'],
    ['torque', 'no rows of figures'],
  ])('%j is refused in words', async (text, words) => {
    await expect(preview(text)).rejects.toThrow(words);
  });
});

describe('a log binned', () => {
  it('lasts as long in milliseconds as in seconds, and passes over what cannot be read', async () => {
    const columns = { time: 0, value: 1, headed: true };
    const seconds = await binLog(`s,N·m\n${rows((at) => `${at},${10 + (at % 5)}`)}`, { ...columns, interval: 1 });
    const milli = await binLog(`ms,N·m\n${rows((at) => `${at * 1000},${10 + (at % 5)}`)}\nlate,12\n20000,heavy`, {
      ...columns,
      interval: 0.001,
    });
    expect(milli?.duration).toBeCloseTo(seconds?.duration ?? NaN, 9);
    expect(milli?.rms).toBeCloseTo(seconds?.rms ?? NaN, 9);
    expect(milli?.skipped).toBe(2);
  });
});
