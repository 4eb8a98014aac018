import type { LoadResult } from '../stages/load/load-result.ts';
import type { NameplateResult } from '../stages/nameplate/nameplate.ts';
import type { PickResult } from '../stages/pick/pick.ts';
import type { ProtectionResult } from '../stages/protection/protection.ts';
import type { StageName } from '../ground/stage-names.ts';
import type { StartingResult } from '../stages/starting/starting.ts';
import type { SupplyResult } from '../stages/supply/supply.ts';
import type { Finding } from '../ground/finding.ts';
import { sizeText } from '../motor/standard-power.ts';
import type { Job } from '../job/job.ts';
import { z } from 'zod';

export const trainBlockSchema = z.object({
  id: z.enum(['supply', 'protection', 'feed', 'cable', 'motor', 'transmission', 'load']),
  title: z.string(),
  rating: z.string().describe('Empty while unknown'),
  detail: z.string(),
  used: z.number().optional().describe('Share of the rating in use'),
  state: z.enum(['decided', 'open', 'stopped']),
  stage: z.string().describe('Where it is decided'),
});

/** One block of the power train, as the strip draws it. */
export type TrainBlock = Readonly<z.infer<typeof trainBlockSchema>>;

interface Results {
  readonly nameplate: NameplateResult;
  readonly load: LoadResult;
  readonly supply: SupplyResult;
  readonly starting: StartingResult;
  readonly pick: PickResult;
  readonly protection: ProtectionResult;
}

interface Shown {
  readonly stage: StageName;
  readonly rating: string | undefined;
  readonly detail: string;
  readonly halted?: boolean;
  readonly used?: number | undefined;
}

const titled = (id: TrainBlock['id'], title: string, { stage, rating, detail, halted, used }: Shown): TrainBlock => ({
  id,
  title,
  stage,
  rating: rating ?? '',
  detail,
  state: halted ? 'stopped' : rating ? 'decided' : 'open',
  ...(used === undefined ? {} : { used }),
});

type Stopped = (stage: StageName, prefix?: string) => boolean;

/** The power train from supply to load, each block with its rating and how much of it is used. */
export function powerTrain(job: Job, results: Results, findings: readonly Finding[]): TrainBlock[] {
  const stopped: Stopped = (stage, prefix = '') =>
    findings.some(({ severity, stage: at, code }) => severity === 'stop' && at === stage && code.startsWith(prefix));
  const { load, supply, starting, protection } = results;
  const { voltage, frequency } = supply.values;
  const { startingDip } = starting.values;
  const { branchDeviceMax, overloadCurrent, conductorSize, conductorMinAmpacity } = protection.values;
  const { ratio, torque, motorTorque, motorSpeed, transmissionEfficiency } = load.values;
  const direct = ratio?.value === 1 ? 'Direct' : `${ratio?.text} : 1`;
  return [
    titled('supply', 'Supply', {
      stage: 'supply',
      rating: voltage && `${voltage.text}${frequency ? ` · ${frequency.text}` : ''}`,
      detail: startingDip ? `dip ${startingDip.text}` : '',
      halted: stopped('supply'),
    }),
    titled('protection', 'Protection', {
      stage: 'protection',
      rating: branchDeviceMax?.text ?? overloadCurrent?.text,
      detail: branchDeviceMax ? 'largest device' : overloadCurrent ? 'overload' : '',
      halted: stopped('protection'),
    }),
    feedBlock(results, stopped),
    titled('cable', 'Motor cable', {
      stage: 'protection',
      rating: conductorSize?.text,
      detail: conductorMinAmpacity ? `for ${conductorMinAmpacity.text}` : '',
    }),
    motorBlock(job, results, stopped),
    titled('transmission', 'Transmission', {
      stage: 'load',
      rating: torque && ratio ? direct : undefined,
      detail: ratio && transmissionEfficiency.value < 1 ? `η ${transmissionEfficiency.text}` : '',
    }),
    titled('load', 'Load', {
      stage: 'load',
      rating: torque?.text ?? motorTorque?.text,
      detail: motorSpeed ? `motor at ${motorSpeed.text}` : '',
      halted: stopped('load'),
    }),
  ];
}

/** Starter or drive. */
function feedBlock({ starting, pick }: Results, stopped: Stopped): TrainBlock {
  const { method } = starting;
  const [first] = pick.starter?.parts ?? [];
  const title = method === 'drive' ? 'Drive' : method === undefined ? 'Starter or drive' : 'Starter';
  return titled('feed', title, {
    stage: method === undefined ? 'starting' : 'pick',
    rating: pick.values.driveCurrent?.text ?? first?.part.name ?? (pick.keepsFeed ? 'Kept' : undefined),
    detail: (pick.chosenDrive && pick.values.motorCurrent && `${pick.values.motorCurrent.text} needed`) ?? method ?? '',
    halted:
      stopped('starting') || ['pick.no-drive', 'pick.drive', 'pick.no-starter'].some((code) => stopped('pick', code)),
    used: pick.chosenDrive?.used ?? (first && first.carries / first.part.currentMax),
  });
}

function motorBlock(job: Job, { nameplate, pick }: Results, stopped: Stopped): TrainBlock {
  const { motor, chosenMotor } = pick;
  const turns = motor && `${((motor.speed * 60) / (2 * Math.PI)).toFixed(0)} r/min`;
  return titled('motor', 'Motor', {
    stage: nameplate.motor && !chosenMotor ? 'nameplate' : 'pick',
    rating: motor && `${sizeText(motor.power, job.school)} · ${motor.poles}-pole`,
    detail: [turns, chosenMotor?.item.frame ?? job.nameplate.frame].filter(Boolean).join(' · '),
    halted:
      stopped('nameplate') ||
      stopped('place') ||
      ['pick.no-motor', 'pick.motor', 'pick.kept'].some((code) => stopped('pick', code)),
    used: pick.values.motorLoad?.value,
  });
}
