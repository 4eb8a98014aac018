/**
 * Prints JSON: median ms of 5000 draws of a job with three options, what its options rest on worked out and the draws judged, each
 * round at another load; the same seed on one slice and on two gives the same.
 */
import { emptyJob } from '../../core/src/index.ts';
import { drawSlice, joined } from '../../core/src/solve/risk/draw.ts';
import { judgeRisk } from '../../core/src/solve/risk/judge.ts';
import { riskModelOf } from '../../core/src/solve/risk/risk-model.ts';
import { demoCatalogue } from '../../db/demo/catalogue.ts';

const ROUNDS = 9;
const DRAWS = 5000;
const catalogue = demoCatalogue();
const job = (round) =>
  emptyJob({
    situation: { kind: 'new' },
    load: { way: 'torque', torqueKind: 'variable', torque: `${70 + 0.1 * round} lb·ft`, speed: '1760 rpm' },
    supply: { voltage: '480 V', frequency: '60 Hz', sourcePower: '1000 kVA', sourceImpedance: '5 %' },
    place: { hazardous: 'no', ambient: '30 °C' },
    profile: {
      control: 'throttle',
      staticHeadShare: '40 %',
      points: [100, 85, 70, 55, 40].map((flow) => ({ flow: `${flow} %`, hours: '1200 h' })),
    },
    money: { energyPrice: '0.10 per kWh' },
    options: {
      A: { starting: { method: 'direct' } },
      B: { starting: { method: 'drive' } },
      C: { starting: { method: 'soft starter' } },
    },
  });
const times = [];
let same = true;
for (let round = 0; round < ROUNDS; round++) {
  const started = performance.now();
  const model = riskModelOf(job(round), catalogue);
  const draws = drawSlice(model, round, 0, DRAWS);
  const risk = judgeRisk(model, draws);
  times.push(performance.now() - started);
  const halves = joined([drawSlice(model, round, DRAWS / 2, DRAWS), drawSlice(model, round, 0, DRAWS / 2)]);
  same &&= JSON.stringify(judgeRisk(model, halves)) === JSON.stringify(risk) && risk.options.length === 3;
}
process.stdout.write(JSON.stringify({ median: times.toSorted((a, b) => a - b)[Math.floor(ROUNDS / 2)], same }));
