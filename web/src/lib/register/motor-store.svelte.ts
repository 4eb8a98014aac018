import { emptyJob, type Job } from '@pilgrim/core';
import { readInputs, type FieldEcho } from '@pilgrim/core/job/inputs';
import { nameplate } from '@pilgrim/core/stages/nameplate/nameplate';
import { readPlate, type PlateReading } from '@pilgrim/core/stages/nameplate/read/read-plate';
import { readPractice } from '@pilgrim/core/job/practice';
import type { RegisteredMotor } from '@pilgrim/core/register/registered-motor';
import type { FieldHost, FieldValue } from '$lib/job/field-host';
import { read, write } from '$lib/job/dotted';

/** A registered motor being edited. Its plate is typed into the same fields as a job’s. */
export class MotorStore implements FieldHost {
  motor = $state<RegisteredMotor>() as RegisteredMotor;
  revision = $state(0);
  state = $state<'saved' | 'changed' | 'saving'>('saved');
  problem = $state('');
  readonly id: string;

  /** The plate as a job would see it, and what follows from it. */
  readonly document: Job = $derived(
    emptyJob({ school: this.motor.school, situation: { kind: 'replace' }, nameplate: this.motor.plate }),
  );
  readonly #inputs = $derived(readInputs(this.document));
  readonly decoded = $derived(
    nameplate({
      job: this.document,
      given: this.#inputs.given,
      rows: this.#inputs.rows,
      practice: readPractice({}, {}, this.motor.school).practice,
    }),
  );

  constructor(id: string, revision: number, motor: RegisteredMotor) {
    this.id = id;
    this.revision = revision;
    this.motor = motor;
  }

  get(path: string): FieldValue {
    return read(this.motor, placeOf(path)) as FieldValue;
  }

  set(path: string, value: FieldValue): void {
    write(this.motor, placeOf(path), value === '' && path.startsWith('nameplate.') ? undefined : value);
    this.state = 'changed';
  }

  setMany(values: Readonly<Record<string, FieldValue>>): void {
    for (const [path, value] of Object.entries(values)) this.set(path, value);
  }

  echo(path: string): FieldEcho | undefined {
    return this.#inputs.fields[path];
  }

  readPlate(text: string): Promise<PlateReading> {
    return Promise.resolve(readPlate(text));
  }

  /** Puts an earlier state into the fields; it counts once it is saved. */
  async takeEarlier(revision: number): Promise<void> {
    const response = await fetch(`/api/motors/${this.id}/revisions/${revision}`).catch(() => undefined);
    if (!response?.ok) {
      this.problem = 'The earlier state could not be fetched just now. Try again.';
      return;
    }
    this.motor = ((await response.json()) as { motor: RegisteredMotor }).motor;
    this.state = 'changed';
    this.problem = `The fields hold rev ${revision} now. Save to keep it; reload the page to drop it.`;
  }

  /** Saves; where somebody saved first says so and keeps what was typed, to be saved over it by saving again. */
  async save(): Promise<void> {
    this.state = 'saving';
    this.problem = '';
    const response = await fetch(`/api/motors/${this.id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ base: this.revision, motor: $state.snapshot(this.motor) }),
    }).catch(() => undefined);
    const answer = response && ((await response.json().catch(() => undefined)) as Answer | undefined);
    if (response?.ok && answer?.revision !== undefined) {
      this.revision = answer.revision;
      this.state = 'saved';
      return;
    }
    this.state = 'changed';
    if (response?.status === 409 && answer?.revision !== undefined) {
      this.revision = answer.revision;
      this.problem =
        'Somebody saved this motor while you typed. Open it in a second window to compare; saving again keeps yours.';
    } else if (answer?.issues?.[0]) this.problem = `${answer.issues[0].path}: ${answer.issues[0].message}`;
    else this.problem = 'It could not be saved just now. What you typed is still here; save again.';
  }
}

interface Answer {
  readonly revision?: number;
  readonly issues?: readonly { readonly path: string; readonly message: string }[];
}

const placeOf = (path: string): string => path.replace(/^nameplate\./, 'plate.');
