import { figures, say } from '../../kernel/text.ts';
import { voltageZones, windingWithstand } from '../../kernel/tables/index.ts';
import { PRACTICE, textValue } from '../../kernel/value.ts';
import { connectionAt } from './connection.ts';
import { utilizationVoltage } from './connected-rating.ts';
import { inverterStatement, type InverterStatement } from './inverter.ts';
import { KNOWN_YEAR, type Decoding } from './decoding.ts';

/** How far the supply’s utilization voltage is from rated: zone A for good, zone B to survive. */
export function readZone({ given, facts, values, said }: Pick<Decoding, 'given' | 'facts' | 'values' | 'said'>): void {
  const system = given.supply.voltage;
  if (!system || !facts.voltage) return;
  const off = utilizationVoltage(system.value) / facts.voltage.value - 1;
  const zone = voltageZones.rows.find(
    (row) => Math.abs(off) <= (voltageZones.number(row, 'voltage') ?? 0) / 100 + 1e-9,
  );
  const percent = say`${off < 0 ? '−' : '+'}${figures(Math.abs(off) * 100, 2)} %`;
  const words = { A: 'may run there for good', B: 'must run, not for good' }[String(zone?.['zone'])];
  values.voltageZone = said(
    zone && words ? say`zone ${String(zone['zone'])}, ${percent}: ${words}` : say`outside both zones, ${percent}`,
    `${voltageZones.source}; ±10 % by MG 1 12.44`,
  );
}

export function readConnection({
  plate,
  job,
  facts,
  values,
  said,
}: Pick<Decoding, 'plate' | 'job' | 'facts' | 'values' | 'said'>): void {
  const leads = Number(plate.leads ?? (job.starting.leads === 'unknown' ? '' : job.starting.leads)) || undefined;
  if (!facts.voltage || facts.voltages.length === 0) return;
  const joined = connectionAt(
    facts.voltages.map((each) => each.value),
    facts.voltage.value,
    plate.connection,
    leads,
  );
  if (!joined) return;
  values.connection = said(joined.text, 'voltage ratio of the plate; MG 1 Part 2');
  values.starDelta = textValue(joined.starDelta, { origin: 'recalled', source: PRACTICE, note: joined.why });
}

export function readInverter({
  plate,
  facts,
  year,
  values,
  said,
  job,
  report,
}: Pick<Decoding, 'plate' | 'facts' | 'year' | 'values' | 'said' | 'job' | 'report'>): InverterStatement {
  const statement = inverterStatement(plate.inverter, facts.voltage?.value, year, KNOWN_YEAR);
  if (plate.inverter?.trim() || facts.power) values.inverter = said(statement.text, windingWithstand.source);
  const onDrive = job.situation.kind === 'drive';
  if (onDrive && (statement.verdict === 'not proven' || statement.verdict === 'confirm from the data sheet'))
    report(
      'nameplate.inverter-silent',
      statement.verdict === 'not proven'
        ? 'The plate says nothing about running on a drive, and the motor is old or of unknown age: its winding is not proven against a drive’s voltage peaks.'
        : 'The plate says nothing about running on a drive; a motor this new may take one, but only its data sheet says so.',
    );
  return statement;
}
