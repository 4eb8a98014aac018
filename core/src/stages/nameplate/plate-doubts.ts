import { say, series, textOf, type Text } from '../../kernel/text.ts';
import type { Report } from './findings.ts';
import { classEfficiency, classesOf } from '../../motor/efficiency-class.ts';
import { estimatedPowerFactor } from '../../motor/typical.ts';
import { memoize } from '../../kernel/memoize.ts';
import type { StageContext } from '../stage.ts';
import type { ConnectedRating } from './connected-rating.ts';
import type { Turning } from './poles.ts';
import type { Balance } from './power-balance.ts';
import { readPlate, type PlateReading } from './read/read-plate.ts';
import { schoolWeight } from './read/school.ts';

const REMEMBERED = 50;
const readings = new Map<string, PlateReading>();

/** The plate’s text as it reads; remembered, since most keystrokes leave it as it was. */
const readingOf = (text: string): PlateReading => memoize(readings, REMEMBERED, text, () => readPlate(text));

/** How far a power factor that follows from the other figures may lie below the usual one. Common practice, no published source. */
const FAR_BELOW = 0.2;
const HIGHEST_POWER_FACTOR = 0.95;
/** How far an efficiency that follows from the other figures may lie outside the classes. Common practice, no published source. */
const BELOW_CLASSES = 0.1;
const ABOVE_CLASSES = 0.03;

/** A plate that may be doubted. */
interface DoubtedPlate {
  readonly brief: StageContext;
  readonly rating: ConnectedRating;
  readonly balance: Balance;
  readonly turning: Turning | undefined;
  readonly report: Report;
}

/** What was not believed of the plate’s text, and what the plate as a whole says that this job is not made for. */
export function checkDoubts(doubted: DoubtedPlate): void {
  if (doubted.brief.job.situation.kind === 'new') return;
  checkUnread(doubted);
  checkPhases(doubted);
  checkSpeeds(doubted);
  checkSchool(doubted);
  checkDerived(doubted);
  checkPoles(doubted);
}

/** A doubt holds until somebody typed something else into its field. */
function checkUnread({ brief, report }: DoubtedPlate): void {
  const plate = brief.job.nameplate;
  if (!plate.asRead?.trim()) return;
  const { doubts, fields } = readingOf(plate.asRead);
  for (const { text, field, why } of doubts.slice(0, 8)) {
    if (field && String(plate[field] ?? '') !== String(fields[field] ?? '')) continue;
    report('nameplate.unread', `“${text.slice(0, 40)}” on the plate was not taken: ${why.replace(/\.$/, '')}.`, {
      field: field ? `nameplate.${field}` : 'nameplate.asRead',
    });
  }
}

function checkPhases({ brief, report }: DoubtedPlate): void {
  const plate = brief.job.nameplate;
  const said = plate.phases?.trim() ?? '';
  if (said === '' || /^3|three/i.test(said)) return;
  report(
    'nameplate.single-phase',
    `The plate says “${said.slice(0, 20)}” for its phases: this is no three-phase motor, and nothing here holds for it.`,
  );
}

function checkSpeeds({ brief: { job }, rating, report }: DoubtedPlate): void {
  const { speeds } = rating;
  if (!speeds) return;
  const list = series(speeds.all.map(textOf), ' and ');
  const chosen = textOf(speeds.all[speeds.chosen]) ?? '';
  const must = job.situation.kind === 'replace' || job.situation.kind === 'drive';
  if (speeds.settled) {
    report(
      'nameplate.speed-chosen',
      say`A two-speed motor, ${list}; everything here holds for ${chosen}, ${speeds.both ? 'both are used' : 'the other speed is given up'}.`,
    );
    return;
  }
  report(
    'nameplate.two-speed',
    say`The plate is of a two-speed motor, ${list}. ${must ? 'Which speed is to be replaced or driven decides everything that follows.' : say`The first, ${chosen}, is taken.`}`,
    {
      severity: must ? 'stop' : 'caution',
      mends: (['first', 'second'] as const).flatMap((name, at) => {
        const speed = speeds.all[at];
        return speed ? [{ label: say`It runs at ${speed}`, set: { 'nameplate.speedInForce': name } }] : [];
      }),
    },
  );
}

function checkSchool({ brief, report }: DoubtedPlate): void {
  const { nameplate: plate, school } = brief.job;
  const weight = schoolWeight(plate, plate.asRead ?? '');
  const proposed = weight > 0 ? 'IEC' : weight < 0 ? 'NEMA' : school;
  if (proposed === school || Math.abs(weight) < 1.5) return;
  report(
    'nameplate.other-school',
    `The plate was printed for ${proposed === 'IEC' ? 'IEC rules at 50 Hz' : 'NEMA rules at 60 Hz'}; this job works by ${school}.`,
    {
      clear: `Set “Rules and units” to ${proposed}, unless the new equipment is to follow ${school}.`,
      mends: [{ label: `Work by ${proposed}`, set: { school: proposed } }],
    },
  );
}

/** A power factor or an efficiency that no motor has says that another figure is misread. */
function checkDerived({ brief, rating, turning, balance, report }: DoubtedPlate): void {
  const { school } = brief.job;
  const { power } = rating;
  if (!power || !turning) return;
  const poles = turning.poles.value;
  const { powerFactor, efficiency } = balance;
  if (powerFactor && powerFactor.origin !== 'given' && powerFactor.value <= 1) {
    const usual = estimatedPowerFactor(power.value, poles);
    if (powerFactor.value < usual - FAR_BELOW || powerFactor.value > HIGHEST_POWER_FACTOR)
      report('nameplate.implausible', implausible('power factor', textOf(powerFactor), `about ${usual.toFixed(2)}`), {
        field: 'nameplate.currents',
      });
  }
  if (efficiency?.origin === 'derived' && efficiency.value <= 1) {
    const names = classesOf(school);
    const of = (name: (typeof names)[number] | undefined): number | undefined =>
      name && classEfficiency(name, { power: power.value, poles, school, frequency: rating.frequency.value })?.value;
    const best = of(names[0]);
    const least = of(names.at(-1));
    if (best !== undefined && least !== undefined)
      if (efficiency.value < least - BELOW_CLASSES || efficiency.value > best + ABOVE_CLASSES)
        report(
          'nameplate.implausible',
          implausible('efficiency', textOf(efficiency), `${(least * 100).toFixed(0)} to ${(best * 100).toFixed(0)} %`),
          { field: 'nameplate.currents' },
        );
  }
}

const implausible = (what: string, shown: Text, usual: string): Text =>
  say`The plate’s figures come to a ${what} of ${shown}; motors of this size and speed have ${usual}.`;

function checkPoles({ brief: { given }, turning, report }: DoubtedPlate): void {
  const printed = given.nameplate.poles;
  if (!printed) return;
  const odd = printed.value % 2 !== 0;
  if (!odd && (!turning || turning.poles.value === printed.value)) return;
  report(
    'nameplate.poles-disagree',
    odd
      ? say`${printed} poles cannot be: poles come in pairs.`
      : say`The plate prints ${printed} poles; its speed belongs to ${turning?.poles ?? '–'}.`,
    turning && {
      mends: [{ label: say`Take ${turning.poles} poles`, set: { 'nameplate.poles': String(turning.poles.value) } }],
    },
  );
}
