import { laterOf, type ReplacementCosts } from '../../stages/economics/replacement-costs.ts';
import type { Catalogue } from '../../catalogue/catalogue.ts';
import type { Job } from '../../job/job.ts';
import type { Letter } from '../../job/document-paths.ts';
import type { Horizon } from '../../stages/economics/cash-flow.ts';
import { demandOf } from '../../stages/economics/demand.ts';
import { priceAt } from '../../stages/economics/running-cost.ts';
import { studyPeriod } from '../../stages/economics/study-period.ts';
import { ownRows, runningOf, waiting, type Running } from '../../stages/operating-profile/option-energy.ts';
import { isStopped, nameOf, solveOptions } from '../solve.ts';
import type { SolvedOption } from '../option.ts';
import type { Shared } from '../shared.ts';
import { spreadsOf, type Spreads } from './spreads.ts';

/** Money of a first year at today’s prices, by what it goes with. */
export interface YearOfCost {
  /** Energy at the shafts, lost in motors, lost in drives; at the hours of the job. */
  readonly shaft: number;
  readonly motors: number;
  readonly drives: number;
  /** Drives that wait: while the machine rests, and if it rested all year. */
  readonly waiting: number;
  readonly resting: number;
  readonly demand: number;
}

/** One option as the draws see it: its cost over a grid of what its machine takes, straight between the points of it. */
export interface RiskOption {
  readonly letter: Letter;
  readonly name: string;
  readonly first: number;
  readonly upkeep: number;
  /** What is replaced on the way and left at the end. */
  readonly later: ReplacementCosts;
  /** By factor of the power at full flow, then by what is added to the static share of the head. */
  readonly grid: readonly (readonly YearOfCost[])[];
  /** Losses of the motor between the best and the worst that may be delivered, of those counted. */
  readonly losses: readonly [number, number];
  /** The year where every flow is scaled by a factor, none above full: over the mean flow, rising. */
  readonly byFlow: readonly { readonly mean: number; readonly year: YearOfCost }[];
}

/** Options of a job whose costs are known, for draws that share what is not known for sure. Plain data. */
export interface RiskModel {
  readonly options: readonly RiskOption[];
  /** The option that costs least to buy and fit: what the others are held against. */
  readonly base: Letter | undefined;
  readonly horizon: Horizon;
  readonly spreads: Spreads;
  readonly powers: readonly number[];
  readonly statics: readonly number[];
}

/** Near enough for straight lines between them. */
const FLOW_SCALES = [...Array.from({ length: 75 }, (_, at) => 0.3 + 0.02 * at), 2, 2.5, 3];

/** What a job’s options rest on, for draws; those with a stop or without a cost are left out. */
export function riskModelOf(job: Job, catalogue: Catalogue): RiskModel {
  const { shared, solved } = solveOptions(job, catalogue);
  const running = solved.filter((option) => !isStopped(option, shared));
  const spreads = spreadsOf(shared, running[0]?.results.profile);
  const { power, staticHead } = spreads.ranges;
  const powers = [power.low, (1 + power.low) / 2, 1, (1 + power.high) / 2, power.high];
  const statics = staticHead.low === staticHead.high ? [0] : [staticHead.low, 0, staticHead.high];
  const options = running.flatMap((option) => optionOf(option, shared, { powers, statics }));
  const [base] = options.toSorted((a, b) => a.first - b.first);
  return {
    options,
    base: base?.letter,
    horizon: studyPeriod(shared.brief),
    spreads,
    powers,
    statics,
  };
}

function optionOf(
  option: SolvedOption,
  { results: { supply } }: Shared,
  { powers, statics }: Pick<RiskModel, 'powers' | 'statics'>,
): RiskOption[] {
  const { runs, results, brief, letter } = option;
  const { firstCost } = results.money.values;
  const running = runs && runningOf(results.profile, runs);
  const price = brief.given.money.energyPrice ?? supply.values.energyPrice;
  if (!running || !price || !firstCost || !results.money.values.yearlyCost) return [];
  const { points } = results.profile;
  const grid = powers.map((factor) =>
    statics.flatMap((more) => yearOf(option, shifted(running, factor, more), price.value, points) ?? []),
  );
  if (grid.some((row) => row.length < statics.length)) return [];
  return [
    {
      letter,
      name: nameOf(option),
      first: firstCost.value,
      upkeep: brief.given.money.upkeep?.value ?? 0,
      later: laterOf(brief),
      grid,
      losses: lossesOf(running),
      byFlow: byFlowOf(points, (flows) => yearOf(option, running, price.value, flows)),
    },
  ];
}

const MOST_STATIC = 0.98;

function shifted(on: Running, factor: number, more: number): Running {
  const { setting } = on.model;
  const staticShare = Math.min(MOST_STATIC, Math.max(0, setting.machine.staticShare + more));
  const machine = more === 0 ? setting.machine : { ...setting.machine, staticShare };
  return { ...on, full: on.full * factor, model: { ...on.model, setting: { ...setting, machine } } };
}

/** Between the nominal efficiency and the least that is guaranteed; 1 is what the energies of the job count. */
function lossesOf({ motor: { efficiency, efficiencyMinimum, guaranteed } }: Running): [number, number] {
  const most = (1 / efficiencyMinimum - 1) / (1 / efficiency - 1);
  return guaranteed ? [1 / most, 1] : [1, most];
}

type Points = SolvedOption['results']['profile']['points'];

/** The year at scaled flows; rows at rest stay there, those beyond full flow are not made more. */
function byFlowOf(points: Points, yearOfFlows: (points: Points) => YearOfCost | undefined): RiskOption['byFlow'] {
  const running = points.reduce((sum, { flow, hours }) => sum + (flow > 0 ? hours : 0), 0);
  let before = 0;
  return FLOW_SCALES.flatMap((scale) => {
    const scaled = points.map((point) => ({ ...point, flow: Math.min(point.flow * scale, Math.max(1, point.flow)) }));
    const mean = scaled.reduce((sum, { flow, hours }) => sum + flow * hours, 0) / running;
    const year = mean > before + 1e-6 ? yearOfFlows(scaled) : undefined;
    before = Math.max(before, mean);
    return year ? [{ mean, year }] : [];
  });
}

function yearOf({ runs, brief }: SolvedOption, on: Running, price: number, points: Points): YearOfCost | undefined {
  if (!runs) return undefined;
  const own = ownRows(points, runs, on);
  if (!own) return undefined;
  const sum = { shaft: 0, motors: 0, drives: 0 };
  let energy = 0;
  for (const [at, { mean, shaft, driveLoss }] of own.rows.entries()) {
    const point = points[at];
    if (!point) continue;
    const cost = point.hours * priceAt(point, brief, price);
    sum.shaft += shaft * cost;
    sum.drives += driveLoss * cost;
    sum.motors += (mean - shaft - driveLoss) * cost;
    energy += mean * point.hours;
  }
  const meanPrice = energy > 0 ? (sum.shaft + sum.drives + sum.motors) / energy : price;
  const demand = demandOf(points, own.rows, brief);
  return {
    ...sum,
    waiting: waiting(points, runs, on) * meanPrice,
    resting: waiting([], runs, on) * meanPrice,
    demand: demand?.value ?? 0,
  };
}
