import type { LoadResult } from '../stages/load/load.ts';
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

/** The power train from supply to load, each block with its rating and how much of it is used. */
export function powerTrain(job: Job, results: Results, findings: readonly Finding[]): TrainBlock[] {
  const { nameplate, load, supply, starting, pick, protection } = results;
  const stopped = (stage: StageName, prefix = ''): boolean =>
    findings.some(
      (finding) => finding.severity === 'stop' && finding.stage === stage && finding.code.startsWith(prefix),
    );
  const block = (
    id: TrainBlock['id'],
    title: string,
    stage: StageName,
    rating: string | undefined,
    detail: string,
    halted: boolean,
    used?: number,
  ): TrainBlock => ({
    id,
    title,
    stage,
    rating: rating ?? '',
    detail,
    state: halted ? 'stopped' : rating ? 'decided' : 'open',
    ...(used === undefined ? {} : { used }),
  });

  const { voltage, frequency } = supply.values;
  const { motor } = pick;
  const { ratio } = load.values;
  const turns = motor && `${((motor.speed * 60) / (2 * Math.PI)).toFixed(0)} r/min`;
  const frame = pick.chosenMotor?.item.frame ?? job.nameplate.frame;
  const dip = starting.values.startingDip;
  const parts = pick.starter?.parts[0];
  const feedTitle =
    starting.method === 'drive' ? 'Drive' : starting.method === undefined ? 'Starter or drive' : 'Starter';
  const feedRating = pick.values.driveCurrent?.text ?? parts?.part.name ?? (pick.keepsFeed ? 'Kept' : undefined);
  const feedDetail =
    (pick.chosenDrive && pick.values.motorCurrent && `${pick.values.motorCurrent.text} needed`) ??
    starting.method ??
    '';
  const feedUsed = pick.chosenDrive?.used ?? (parts && parts.carries / parts.part.currentMax);

  return [
    block(
      'supply',
      'Supply',
      'supply',
      voltage && `${voltage.text}${frequency ? ` · ${frequency.text}` : ''}`,
      dip ? `dip ${dip.text}` : '',
      stopped('supply'),
    ),
    block(
      'protection',
      'Protection',
      'protection',
      protection.values.branchDeviceMax?.text ?? protection.values.overloadCurrent?.text,
      protection.values.branchDeviceMax ? 'largest device' : protection.values.overloadCurrent ? 'overload' : '',
      stopped('protection'),
    ),
    block(
      'feed',
      feedTitle,
      starting.method === undefined ? 'starting' : 'pick',
      feedRating,
      feedDetail,
      stopped('starting') ||
        stopped('pick', 'pick.no-drive') ||
        stopped('pick', 'pick.drive') ||
        stopped('pick', 'pick.no-starter'),
      feedUsed,
    ),
    block(
      'cable',
      'Motor cable',
      'protection',
      protection.values.conductorSize?.text,
      protection.values.conductorMinAmpacity ? `for ${protection.values.conductorMinAmpacity.text}` : '',
      false,
    ),
    block(
      'motor',
      'Motor',
      nameplate.motor && !pick.chosenMotor ? 'nameplate' : 'pick',
      motor && `${sizeText(motor.power, job.school)} · ${motor.poles}-pole`,
      [turns, frame].filter(Boolean).join(' · '),
      stopped('nameplate') ||
        stopped('pick', 'pick.no-motor') ||
        stopped('pick', 'pick.motor') ||
        stopped('pick', 'pick.kept') ||
        stopped('place'),
      pick.values.motorLoad?.value,
    ),
    block(
      'transmission',
      'Transmission',
      'load',
      load.values.torque && ratio ? (ratio.value === 1 ? 'Direct' : `${ratio.text} : 1`) : undefined,
      load.values.ratio && load.values.transmissionEfficiency.value < 1
        ? `η ${load.values.transmissionEfficiency.text}`
        : '',
      false,
    ),
    block(
      'load',
      'Load',
      'load',
      load.values.torque?.text ?? load.values.motorTorque?.text,
      load.values.motorSpeed ? `motor at ${load.values.motorSpeed.text}` : '',
      stopped('load'),
    ),
  ];
}
