import type { Text } from '../../kernel/text.ts';
import { PRACTICE, textValue, type Value } from '../../kernel/value.ts';
import { readFrame } from '../nameplate/frame.ts';
import type { DriveStageInput } from './drive-stage-input.ts';
import type { Report } from './findings.ts';

/** W and shaft height, mm, from which on currents go round through both bearings; and above which more is needed. Common practice. */
const ROUND = { power: 75e3, height: 280, nema: 445 } as const;
const LARGE = 375e3;
/** V above which even small motors discharge through their bearings. Common practice. */
const HIGH = 500;

const ALWAYS = 'symmetrical cable with three earths, shield clamped all round at both ends, frames bonded';
const steps = [
  ALWAYS,
  `${ALWAYS}; a ring that earths the shaft`,
  `${ALWAYS}; an insulated bearing opposite the drive end and a ring at the drive end`,
  `${ALWAYS}; both bearings’ currents stopped: insulated bearing, ring, and cores around the cable`,
] as const;

/** Frame numbers of NEMA are not heights: 445 is 11 in. */
function isTall({ brief, pick }: DriveStageInput): boolean {
  const made = pick.chosenMotor?.item;
  const frame = readFrame(made?.frame ?? brief.job.nameplate.frame ?? '', made?.school ?? brief.job.school);
  if (!frame) return false;
  return Number(frame.numbers[0]) >= (frame.family === 'NEMA' ? ROUND.nema : ROUND.height);
}

/** What keeps a drive’s currents out of the bearings; one step further where one was fluted before. */
export function bearingsOf(
  driven: DriveStageInput,
  report: Report,
): { readonly value: Value<Text>; readonly ring: boolean } {
  const { brief, motor, voltage } = driven;
  const { job } = brief;
  const usual =
    motor.power > LARGE ? 3 : motor.power >= ROUND.power || isTall(driven) ? 2 : voltage.value > HIGH ? 1 : 0;
  const proof = job.drive.fluted || job.situation.causes?.['drive-currents'] === 'found';
  const step = Math.min(3, usual + (proof ? 1 : 0)) as 0 | 1 | 2 | 3;
  const words = steps[step];
  if (step > 0)
    report(
      'drive.bearings',
      `${proof ? 'A bearing fluted before is proof enough: ' : ''}on a drive this motor wants ${words.slice(ALWAYS.length + 2)}.`,
    );
  const value = textValue(words, {
    origin: 'chosen',
    from: { V: voltage },
    source: PRACTICE,
    note: 'Ring alone leaves the current that goes round; an insulated bearing alone leaves the discharge to the machine: insulate the coupling where pump or gear would carry it, and the encoder.',
  });
  return { value, ring: step > 0 };
}
