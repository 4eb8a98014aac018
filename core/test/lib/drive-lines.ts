import { formatNumber } from '../../src/kernel/quantity/format.ts';
import type { Solution } from '../../src/index.ts';

/** Spaces that do not break are spaces here. */
const plain = (words: string): string => words.replaceAll('\u00a0', ' ');
const number = (value: number | undefined): string => (value === undefined ? '–' : formatNumber(value, 3));

/** All that is said of the drive of an option, a line each, by what it is about. */
export function linesOf(solution: Solution): Record<string, string> {
  const lines: Record<string, string> = {};
  const say = (about: string, ...words: readonly (string | undefined)[]): void => {
    lines[about] = plain(words.filter(Boolean).join(' | '));
  };
  for (const [id, { text, origin, working }] of Object.entries(solution.values)) {
    if (!id.startsWith('drive.')) continue;
    const inputs = working.inputs.map((input) => `${input.symbol} ${input.text}`).join(', ');
    say(id.slice('drive.'.length), text, origin, inputs, working.source, working.note);
  }
  for (const { stage, code, severity, message, mends = [] } of solution.findings)
    if (stage === 'drive')
      say(`! ${code}`, severity, message, ...mends.map(({ label, set }) => `${label}: ${JSON.stringify(set)}`));
  for (const { stage, field, message } of solution.missing) if (stage === 'drive') say(`? ${field}`, message);
  const drawn = solution.details.drivePictures;
  if (!drawn) return lines;
  for (const { of, state, says, question } of drawn.proofs) say(`proof: ${of}`, state, says, question);
  for (const { id, value, from, differs } of drawn.settings)
    say(`set: ${id}`, value, from, differs && 'was set otherwise');
  for (const { side, role, goesTo, wire } of drawn.terminals) say(`${side}: ${role}`, goesTo, wire);
  for (const { name, current, time, used, borne } of drawn.asked)
    say(
      `asked: ${name}`,
      `${number(current)} A`,
      `${number(time)} s`,
      `used ${number(used)}`,
      `borne ${number(borne)} s`,
    );
  for (const { duty, taken, derates, current } of drawn.rated)
    say(`rated: ${duty}`, taken ? 'taken' : '', Object.values(derates).map(number).join(' × '), `${number(current)} A`);
  for (const { side, distortion, demand, voltage, passes, within } of drawn.line.remedies) {
    const verdict = passes ? 'passes' : within ? 'within' : 'fails';
    say(`line: ${side}`, [distortion, demand, voltage].map(number).join(' / '), verdict);
  }
  const { shares, continuous, short, load, skips } = drawn.range;
  for (const at of [0, 0.2, 0.4, 0.6, 0.8, 1].map((part) => Math.round(part * (shares.length - 1))))
    say(`torque at ${number(shares[at])}`, [continuous[at], short[at], load?.[at]].map(number).join(' / '));
  for (const { from, to } of skips) say(`skips ${number(from)}`, `to ${number(to)}`);
  const { lengths, peaks, critical, rule, withstand } = drawn.lead;
  for (const at of [0, 0.25, 0.5, 1].map((part) => Math.round(part * (lengths.length - 1))))
    say(`peak at ${number(lengths[at])} m`, number(peaks[at]));
  say('lead', [critical, rule, withstand].map(number).join(' / '));
  for (const { kind, part, count, price } of solution.details.bill)
    if (kind === 'accessory' || kind === 'drive') say(`bought: ${part}`, `${count} × ${number(price)}`);
  return lines;
}
