import { amount, say, series, textOf, type Text } from '../kernel/text.ts';
import type { LoadResult } from '../stages/load/load-result.ts';
import type { NameplateResult } from '../stages/nameplate/nameplate.ts';
import type { PickResult } from '../stages/selection/selection.ts';
import type { ProtectionResult } from '../stages/protection/protection.ts';
import type { StageName } from '../kernel/stage-list.ts';
import type { StartingResult } from '../stages/starting/starting.ts';
import type { SupplyResult } from '../stages/supply/supply.ts';
import type { Finding } from '../kernel/finding.ts';
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
export interface TrainBlock extends Omit<Readonly<z.infer<typeof trainBlockSchema>>, 'rating' | 'detail'> {
  readonly rating: Text;
  readonly detail: Text;
}

interface Results {
  readonly nameplate: NameplateResult;
  readonly load: LoadResult;
  readonly supply: SupplyResult;
  readonly starting: StartingResult;
  readonly pick: PickResult;
  readonly protection: ProtectionResult;
}

interface Block {
  readonly stage: StageName;
  readonly rating: Text | undefined;
  readonly detail: Text;
  readonly halted?: boolean;
  readonly used?: number | undefined;
}

const titled = (id: TrainBlock['id'], title: string, { stage, rating, detail, halted, used }: Block): TrainBlock => ({
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
  const direct = ratio && (ratio.value === 1 ? 'Direct' : say`${ratio} : 1`);
  return [
    titled('supply', 'Supply', {
      stage: 'supply',
      rating: voltage && say`${voltage}${frequency ? say` · ${frequency}` : ''}`,
      detail: startingDip ? say`voltage dip ${startingDip}` : '',
      halted: stopped('supply'),
    }),
    titled('protection', 'Protection', {
      stage: 'protection',
      rating: textOf(branchDeviceMax) ?? textOf(overloadCurrent),
      detail: branchDeviceMax ? 'maximum rating' : overloadCurrent ? 'overload' : '',
      halted: stopped('protection'),
    }),
    feedBlock(results, stopped),
    titled('cable', 'Motor cable', {
      stage: 'protection',
      rating: textOf(conductorSize),
      detail: conductorMinAmpacity ? say`for ${conductorMinAmpacity}` : '',
    }),
    motorBlock(job, results, stopped),
    titled('transmission', 'Transmission', {
      stage: 'load',
      rating: torque && direct,
      detail: ratio && transmissionEfficiency.value < 1 ? say`η ${transmissionEfficiency}` : '',
    }),
    titled('load', 'Load', {
      stage: 'load',
      rating: textOf(torque) ?? textOf(motorTorque),
      detail: motorSpeed ? say`motor at ${motorSpeed}` : '',
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
    rating: textOf(pick.values.driveCurrent) ?? first?.part.name ?? (pick.keepsFeed ? 'Kept' : undefined),
    detail: (pick.chosenDrive && pick.values.motorCurrent && say`${pick.values.motorCurrent} needed`) ?? method ?? '',
    halted:
      stopped('starting') || ['pick.no-drive', 'pick.drive', 'pick.no-starter'].some((code) => stopped('pick', code)),
    used: pick.chosenDrive?.used ?? (first && first.carries / first.part.currentMax),
  });
}

function motorBlock(job: Job, { nameplate, pick }: Results, stopped: Stopped): TrainBlock {
  const { motor, chosenMotor } = pick;
  const turns = motor && amount(motor.speed, 'speed');
  return titled('motor', 'Motor', {
    stage: nameplate.motor && !chosenMotor ? 'nameplate' : 'pick',
    rating: motor && say`${sizeText(motor.power)} · ${motor.poles}-pole`,
    detail: series([turns, chosenMotor?.item.frame ?? job.nameplate.frame], ' · '),
    halted:
      stopped('nameplate') ||
      stopped('place') ||
      ['pick.no-motor', 'pick.motor', 'pick.kept'].some((code) => stopped('pick', code)),
    used: pick.values.motorLoad?.value,
  });
}
