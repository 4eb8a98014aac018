import { emptyJob, type Job } from '@pilgrim/core';
import { readInputs, type FieldEcho } from '@pilgrim/core/job/inputs';
import { present } from '@pilgrim/core/present/present';
import { nameplate } from '@pilgrim/core/stages/nameplate/nameplate';
import { readPlate, type PlateReading } from '@pilgrim/core/stages/nameplate/read/read-plate';
import { readPractice } from '@pilgrim/core/job/design-rules';
import type { StandardsSystem } from '@pilgrim/core/kernel/quantity/units';
import type { RegisteredMotor } from '@pilgrim/core/register/registered-motor';
import type { FieldHost, FieldValue } from '$lib/job/field-host';
import { read, write } from '$lib/job/dotted';

const SAVE_AFTER = 1000;
const RETRY_AFTER = 5000;

/** A registered motor being edited. Its plate is typed into the same fields as a job’s; it saves itself as a job does. */
export class MotorStore implements FieldHost {
  motor = $state<RegisteredMotor>() as RegisteredMotor;
  revision = $state(0);
  state = $state<'saved' | 'changed' | 'saving'>('saved');
  problem = $state('');
  /** Somebody else saved first; the next save, by hand, goes over theirs. */
  clash = $state(false);
  readonly id: string;
  readonly #saved: () => unknown;
  /** How often something was changed. */
  #touched = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;

  /** The plate as a job would see it, and what follows from it. */
  readonly document: Job = $derived(
    emptyJob({
      school: this.motor.school,
      situation: {
        kind: 'replace',
        ...(this.motor.runningCurrent ? { runningCurrent: this.motor.runningCurrent } : {}),
      },
      nameplate: this.motor.plate,
    }),
  );
  readonly #inputs = $derived(readInputs(this.document));
  readonly decoded = $derived(
    present(
      nameplate({
        job: this.document,
        given: this.#inputs.given,
        rows: this.#inputs.rows,
        practice: readPractice({}, {}).practice,
      }),
      { units: this.motor.school },
    ),
  );

  /** `saved` is called after each save. */
  constructor(id: string, revision: number, motor: RegisteredMotor, saved: () => unknown) {
    this.id = id;
    this.#saved = saved;
    this.revision = revision;
    this.motor = motor;
  }

  get school(): StandardsSystem {
    return this.motor.school;
  }

  get(path: string): FieldValue {
    return read(this.motor, placeOf(path)) as FieldValue;
  }

  set(path: string, value: FieldValue): void {
    write(this.motor, placeOf(path), value === '' && path.startsWith('nameplate.') ? undefined : value);
    this.changed();
  }

  /** Tells that something of the motor was changed: it is saved after a pause, unless somebody has to choose first. */
  changed(): void {
    this.state = 'changed';
    this.#touched++;
    if (!this.clash) this.#saveIn(SAVE_AFTER);
  }

  #saveIn(delay: number): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.save(), delay);
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
    const { revision: before } = this;
    this.changed();
    this.problem = `The fields hold rev ${revision} now; what stood here is kept as rev ${before}.`;
  }

  /** Saves; where somebody saved first says so and keeps what was typed, to be saved over it by saving again. */
  async save(): Promise<void> {
    clearTimeout(this.#timer);
    this.state = 'saving';
    this.problem = '';
    this.clash = false;
    const motor = $state.snapshot(this.motor);
    const touched = this.#touched;
    const response = await fetch(`/api/motors/${this.id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ base: this.revision, motor }),
    }).catch(() => undefined);
    const answer = response && ((await response.json().catch(() => undefined)) as Answer | undefined);
    if (response?.ok && answer?.revision !== undefined) {
      this.revision = answer.revision;
      // What was typed meanwhile has a save of its own.
      this.state = this.#touched === touched ? 'saved' : 'changed';
      this.#saved();
      return;
    }
    this.state = 'changed';
    if (response?.status === 409 && answer?.revision !== undefined) {
      this.revision = answer.revision;
      this.clash = true;
      clearTimeout(this.#timer);
      this.problem =
        'Somebody saved this motor while you typed. Open it in a second window to compare; saving again keeps yours.';
    } else if (answer?.issues?.[0]) this.problem = `${answer.issues[0].path}: ${answer.issues[0].message}`;
    else {
      this.problem = 'It could not be saved just now. What you typed is still here and is sent again by itself.';
      this.#saveIn(RETRY_AFTER);
    }
  }
}

interface Answer {
  readonly revision?: number;
  readonly issues?: readonly { readonly path: string; readonly message: string }[];
}

const placeOf = (path: string): string =>
  path === 'situation.runningCurrent' ? 'runningCurrent' : path.replace(/^nameplate\./, 'plate.');
