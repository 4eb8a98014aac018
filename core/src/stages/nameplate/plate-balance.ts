import { figures, say, textOf, type Text } from '../../kernel/text.ts';
import { mendsOf, misreadDigit, type Suspect } from './misread-digit.ts';
import { fits } from './plate-pairs.ts';
import { mismatch } from './power-balance.ts';
import type { CheckedPlate } from './checked-plate.ts';

/** How far the plate may be from agreeing with itself before it is doubted, and before a misread digit is looked for. Common practice, no published source. */
const DISAGREES = 0.05;
const MISREAD = 0.12;
const digitsOf = (value: number): string => String(Number(value.toPrecision(4)));

/** P = √3·V·I·η·cos φ, and which digit would mend it. */
export function checkBalance({
  plate,
  rating,
  powerFactor,
  report,
  efficiency,
  power,
  voltage,
}: Pick<CheckedPlate, 'plate' | 'rating' | 'powerFactor' | 'report' | 'efficiency' | 'power' | 'voltage'>): void {
  const { efficiency: eta, powerFactor: pf } = rating;
  const amperes = rating.current;
  if (powerFactor && powerFactor.value > 1)
    return void report('nameplate.power-factor-over-one', impossible('power factor', textOf(powerFactor)));
  if (efficiency && efficiency.value > 1)
    return void report('nameplate.efficiency-over-one', impossible('efficiency', textOf(efficiency)));
  if (!power || !voltage || !amperes || !eta || !pf) return;
  const off = mismatch(power.value, voltage.value, amperes.value, eta.value, pf.value);
  if (Math.abs(off) <= DISAGREES) return;
  const suspects: Suspect[] = [
    {
      name: 'Power factor',
      field: 'nameplate.powerFactor',
      digits: digitsOf(pf.value * 100),
      mismatchAt: (v) => mismatch(power.value, voltage.value, amperes.value, eta.value, v / 100),
      plausible: (v) => v >= 40 && v <= 96,
    },
    {
      name: 'Current',
      field: 'nameplate.currents',
      digits: digitsOf(amperes.value),
      mismatchAt: (v) => mismatch(power.value, voltage.value, v, eta.value, pf.value),
      plausible: (v) => v > 0,
    },
    {
      name: 'Efficiency',
      field: 'nameplate.efficiency',
      digits: digitsOf(eta.value * 100),
      mismatchAt: (v) => mismatch(power.value, voltage.value, amperes.value, v / 100, pf.value),
      plausible: (v) => v >= 60 && v <= 98,
    },
  ];
  const likely = misreadDigit(suspects);
  const size = say`${figures(Math.abs(off) * 100, 2)} %`;
  report(
    Math.abs(off) > MISREAD ? 'nameplate.misread' : 'nameplate.disagrees',
    say`The nameplate contradicts itself: √3·V·I·η·cos φ is ${size} ${off > 0 ? 'above' : 'below'} the power.${fits(likely)}`,
    likely && {
      clear: `Read the nameplate again; correct ${likely.name.toLowerCase()} if it reads ${likely.likely}.`,
      field: likely.field,
      ...mendsOf(plate, likely),
    },
  );
}

const impossible = (what: string, shown: Text): Text =>
  say`The plate’s figures would need a ${what} of ${shown}, which cannot be.`;
