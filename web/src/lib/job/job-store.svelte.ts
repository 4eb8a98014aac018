import type { AnyValue, Job, Letter, Option, Solution } from '@pilgrim/core';
import type { StageName } from '@pilgrim/core/kernel/stage-list';
import type { FieldEcho } from '@pilgrim/core/job/inputs';
import type { PlateReading } from '@pilgrim/core/stages/nameplate/read/read-plate';
import type { FieldHost, FieldValue } from './field-host';
import { read, write } from './dotted';
import { letters, placeIn, type OwnNames } from '@pilgrim/core/job/document-paths';
import type * as Conflict from './conflict';
import { History } from './history.svelte';
import type { RiskModel } from '@pilgrim/core/solve/risk/risk-model';
import { SolverClient } from './solver-client';
import type { StandardsSystem } from '@pilgrim/core/kernel/quantity/units';
import { units } from '$lib/units.svelte';

export type SaveState = 'saved' | 'saving' | 'waiting' | 'conflict' | 'refused';

/** A stored document that got in first. */
interface Rival {
  readonly revision: number;
  readonly document: Job;
}

interface Kept {
  readonly base: number;
  readonly document: Job;
  /** The version it was typed over. */
  readonly common?: Job;
}

type Row = Readonly<Record<string, string | number | boolean>>;

/** Made when it is first asked: it costs a slow processor more than the rest of this file. */
const timeNow = (): string => new Date().toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' });
const SAVE_AFTER = 700;
/** Too slow, too many at once: the same again later. */
const LATER = new Set([408, 429]);
const RETRY_AFTER = [1000, 2000, 4000, 8000, 15_000];

/** The open job: document, live solution, and saving that survives a lost connection and a rival. Computes nothing itself. */
/** What an undo or redo changed first, how many other places with it. */
export interface Stepped {
  readonly how: 'Undone' | 'Redone';
  readonly path: string;
  readonly from: string;
  readonly to: string;
  readonly others: number;
}

export class JobStore implements FieldHost {
  document = $state<Job>() as Job;
  solution = $state.raw() as Solution;
  revision = $state(0);
  saveState = $state<SaveState>('saved');
  savedAt = $state('');
  refusal = $state('');
  /** Why the figures on screen are not those of what was typed last; empty where they are. */
  trouble = $state('');
  rival = $state.raw<Rival>();
  /** What was joined with what somebody else saved; empty where nothing was. */
  joined = $state('');
  /** What a button did last, until it is undone or put away; empty where there is nothing to tell. */
  done = $state('');
  /** What the last undo or redo changed; undefined once something else was. */
  stepped = $state.raw<Stepped>();
  /** The version of `revision`: what both sides of a conflict began with; undefined where it is not known. */
  common: Job | undefined;

  /** The stage that is looked at; its pictures come first. */
  at: StageName = 'situation';
  readonly id: string;
  readonly history = new History();
  readonly #own: OwnNames;
  #solver = new SolverClient((after) => {
    if ('trouble' in after) this.trouble = after.trouble;
    else this.solution = { ...this.solution, details: { ...this.solution.details, ...after.details } };
  });
  /** Fetched when two versions are to be told apart. */
  #conflict: typeof Conflict | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #attempts = 0;
  #dirty = false;
  /** Whose units the solution is in. */
  #units: StandardsSystem = 'NEMA';
  #solving: Promise<void> = Promise.resolve();
  #sending: Promise<void> = Promise.resolve();

  /** `own` names the fields of which every option has its own. */
  constructor(id: string, revision: number, document: Job, solution: Solution, own: OwnNames) {
    this.id = id;
    this.#own = own;
    this.revision = revision;
    this.document = document;
    this.#units = document.school;
    this.common = structuredClone(document);
    this.solution = solution;
  }

  /** Takes up what an earlier visit could not send, and its steps of undo. Call once in the browser. */
  resume(): void {
    this.#takeUp(this.#readKept());
    void this.history.take(this.#key, async (at) => {
      const { differences } = (this.#conflict ??= await import('./conflict'));
      return differences(at, this.#plain()).length === 0;
    });
  }

  /** Keeps the steps of undo and redo. Call when the page is left. */
  leave(): void {
    this.history.keep(this.#key, this.#plain());
  }

  #takeUp(kept: Kept | undefined): void {
    if (!kept) return;
    if (kept.base === this.revision) {
      this.document = kept.document;
      this.#changed();
    } else {
      const rival = { revision: this.revision, document: this.#plain() };
      this.document = kept.document;
      this.revision = kept.base;
      this.common = kept.common;
      void this.#meet(rival);
      this.#solve();
    }
  }

  /** Starts the solver before the first keystroke needs it; comes back when it has answered. */
  warm(): Promise<void> {
    if (!this.#solver.started) this.#solve();
    return this.#solving;
  }

  /** A figure with its working, which the page did not bring. */
  async whole(id: string): Promise<AnyValue | undefined> {
    await this.warm();
    return this.#solver.ask({ kind: 'working', value: id }).catch(() => undefined);
  }

  /** Works the job out again where other units are wanted than were shown last. */
  turnUnits(): void {
    if (this.shows !== this.#units) this.#solve();
  }

  /** Whose units are shown. */
  get shows(): StandardsSystem {
    return units.wanted ?? this.document.school;
  }

  get saved(): boolean {
    return this.saveState === 'saved';
  }

  /** The option that is worked on. */
  get chosen(): Letter {
    return this.document.options[this.document.chosen] ? this.document.chosen : (this.#letters[0] ?? 'A');
  }

  get #letters(): Letter[] {
    return letters.filter((letter) => this.document.options[letter] !== undefined);
  }

  get school(): StandardsSystem {
    return this.document.school;
  }

  /** Where a field stands in the document: with the option that is worked on, where each has its own. */
  #place(path: string): string {
    return placeIn(this.#own, path, this.chosen);
  }

  get(path: string): FieldValue {
    return read(this.document, this.#place(path)) as FieldValue;
  }

  /** A choice that is left open is decided in the value of the same name. */
  decided(path: string): FieldValue {
    const value = this.get(path) === 'auto' ? this.solution.values[path]?.value : undefined;
    return typeof value === 'string' ? value : undefined;
  }

  echo(path: string): FieldEcho | undefined {
    const place = this.#place(path);
    const echo = this.solution.fields[place];
    if (!echo || echo.error) return echo;
    const stop = this.solution.findings.find(({ severity, field }) => severity === 'stop' && field === place);
    return stop ? { ...echo, error: stop.message } : echo;
  }

  set(path: string, value: FieldValue): void {
    const place = this.#place(path);
    const before = read(this.document, place);
    const next = value === '' ? emptyOf(before, path) : value;
    if (before === next) return;
    this.#remember(place);
    write(this.document, place, next);
    this.#changed();
  }

  /** Makes an option the one that is worked on and whose results are the job’s; a proposal is taken into the job. */
  choose(letter: Letter): void {
    if (letter === this.document.chosen && this.document.options[letter]) return;
    this.#remember('');
    const proposal = this.solution.options[letter]?.says;
    if (!this.document.options[letter] && proposal) this.document.options[letter] = structuredClone(proposal);
    this.document.chosen = letter;
    this.#changed();
  }

  /** Takes a proposal into the job beside the others. */
  take(letter: Letter): void {
    const proposal = this.solution.options[letter]?.says;
    if (!proposal || this.document.options[letter]) return;
    this.#remember('');
    this.document.options[letter] = structuredClone(proposal);
    this.#changed();
  }

  /** Letters no option of the job has. */
  get free(): Letter[] {
    return letters.filter((letter) => this.document.options[letter] === undefined);
  }

  /** Copies the option that is worked on to the next free letter and works on that. */
  copyOption(): void {
    const [letter] = this.free;
    const option = this.document.options[this.chosen];
    if (!letter || !option) return;
    this.#remember('');
    const copy: Option = $state.snapshot(option);
    const called = this.solution.options[this.chosen]?.name ?? '';
    this.document.options[letter] = { ...copy, name: `${called} (copy)`.slice(0, 60) };
    this.document.chosen = letter;
    this.#changed();
  }

  nameOption(letter: Letter, name: string): void {
    const option = this.document.options[letter];
    if (!option || option.name === name) return;
    this.#remember(`options.${letter}.name`);
    option.name = name;
    this.#changed();
  }

  /** Drops an option of the job, or a proposal, which is then not made again. */
  dropOption(letter: Letter): void {
    const { proposed } = this.solution.options[letter] ?? {};
    const own = this.document.options[letter] !== undefined;
    if (own ? this.#letters.length < 2 : !proposed) return;
    this.#remember('');
    if (own) {
      Reflect.deleteProperty(this.document.options, letter);
      this.document.chosen = this.chosen;
    } else if (proposed) this.document.declined.push(proposed);
    this.#changed();
  }

  /** Several fields at once, one step to undo: a whole plate, for example. */
  setMany(values: Readonly<Record<string, FieldValue>>): void {
    this.#remember('');
    for (const [path, value] of Object.entries(values)) write(this.document, this.#place(path), value);
    this.#changed();
  }

  /** Rows of a list in the document, such as `load.duty`. */
  rowCount(path: string): number {
    return this.#rows(path).length;
  }

  addRow(path: string, row: Row): void {
    this.#remember('');
    this.#rows(path).push(row);
    this.#changed();
  }

  removeRow(path: string, index: number): void {
    this.#remember('');
    this.#rows(path).splice(index, 1);
    this.#changed();
  }

  /** Puts a whole list in place of the old one, with further fields, as one step to undo. */
  setRows(path: string, rows: readonly Row[], values: Readonly<Record<string, FieldValue>> = {}): void {
    this.#remember('');
    write(this.document, this.#place(path), [...rows]);
    for (const [each, value] of Object.entries(values)) write(this.document, this.#place(each), value);
    this.#changed();
  }

  #rows(path: string): Row[] {
    return read(this.document, this.#place(path)) as Row[];
  }

  undo(): void {
    this.done = '';
    this.#becomes(this.history.undo(this.document), 'Undone');
  }

  /** Takes an undo back. */
  redo(): void {
    this.#becomes(this.history.redo(this.document), 'Redone');
  }

  #becomes(document: Job | undefined, how: Stepped['how']): void {
    if (!document) return;
    const before = this.#plain();
    this.document = document;
    this.#changed();
    void this.#tellStep(document, before, how);
  }

  /** Says what a step back or forth changed, and where. */
  async #tellStep(now: Job, before: Job, how: Stepped['how']): Promise<void> {
    const { differences } = (this.#conflict ??= await import('./conflict'));
    const [first, ...others] = differences(now, before);
    this.stepped = first && { how, path: first.path, from: first.theirs, to: first.mine, others: others.length };
  }

  /** What the options rest on, for draws of what may turn out otherwise. */
  riskModel(): Promise<RiskModel> {
    return this.#solver.ask({ kind: 'risk', job: this.#plain() });
  }

  readPlate(text: string): Promise<PlateReading> {
    return this.#solver.ask({ kind: 'plate', text });
  }

  /** Saves `document` over the rival’s revision: the user has chosen field by field. */
  resolve(document: Job): void {
    if (!this.rival) return;
    this.revision = this.rival.revision;
    this.#rebase(this.rival.document);
    this.document = document;
    this.rival = undefined;
    this.saveState = 'saving';
    this.#changed();
  }

  /** Sends what is waiting now rather than after the pause; whether all is saved then. */
  async flush(): Promise<boolean> {
    clearTimeout(this.#timer);
    await this.#save();
    return this.saved;
  }

  /** The document as plain JSON, without reactivity. */
  #plain(): Job {
    return $state.snapshot(this.document);
  }

  #remember(path: string): void {
    this.stepped = undefined;
    this.history.remember(path, this.document);
  }

  #changed(): void {
    this.#dirty = true;
    // Worked out beside the page while it is kept.
    this.#solve();
    this.#keep();
    if (this.saveState !== 'conflict') this.#saveIn(SAVE_AFTER);
  }

  #solve(): void {
    const asked = this.shows;
    this.#solving = this.#solver.solve({ job: this.#plain(), at: this.at, units: asked }).then((outcome) => {
      if (!outcome) return;
      if ('trouble' in outcome) {
        this.trouble = outcome.trouble;
        return;
      }
      this.solution = outcome.solution;
      this.#units = asked;
      this.trouble = outcome.withoutCatalogue
        ? 'The catalogue could not be fetched: nothing is picked until it is there. The next keystroke tries again.'
        : '';
    });
  }

  #saveIn(delay: number): void {
    clearTimeout(this.#timer);
    if (this.saveState !== 'waiting') this.saveState = 'saving';
    this.#timer = setTimeout(() => void this.#save(), delay);
  }

  /** One at a time: a second save waits for the first and then builds on its revision. */
  #save(): Promise<void> {
    this.#sending = this.#sending.then(() => this.#send());
    return this.#sending;
  }

  async #send(): Promise<void> {
    if (!this.#dirty || this.saveState === 'conflict') return;
    this.#dirty = false;
    const document = this.#plain();
    let response: Response;
    try {
      response = await fetch(`/api/jobs/${this.id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ base: this.revision, document }),
      });
    } catch {
      this.#waitAndRetry();
      return;
    }
    if (response.status === 409) await this.#meet((await response.json()) as Rival);
    else if (response.status >= 500 || LATER.has(response.status)) this.#waitAndRetry();
    else if (response.ok) await this.#accepted(response, document);
    else await this.#refused(response);
  }

  async #accepted(response: Response, document: Job): Promise<void> {
    this.common = document;
    this.history.settle();
    this.revision = ((await response.json()) as { revision: number }).revision;
    this.#attempts = 0;
    this.refusal = '';
    this.savedAt = timeNow();
    if (this.#dirty) this.#saveIn(SAVE_AFTER);
    else {
      this.saveState = 'saved';
      this.#forget();
    }
  }

  #waitAndRetry(): void {
    this.#dirty = true;
    this.saveState = 'waiting';
    this.#saveIn(RETRY_AFTER[Math.min(this.#attempts++, RETRY_AFTER.length - 1)] ?? 15_000);
  }

  /** Somebody saved first: what does not clash is joined and saved; only what both changed is asked. */
  async #meet(rival: Rival): Promise<void> {
    this.#dirty = true;
    const { clashes, merge } = (this.#conflict ??= await import('./conflict'));
    const mine = this.#plain();
    if (clashes(this.common, mine, rival.document).length > 0) {
      this.rival = rival;
      this.saveState = 'conflict';
      return;
    }
    this.document = merge(this.common, mine, rival.document, () => 'mine');
    this.#rebase(rival.document);
    this.revision = rival.revision;
    this.joined = `Joined with what somebody else saved, revision ${rival.revision}.`;
    this.saveState = 'saving';
    this.#changed();
  }

  /** What undo and redo lead back to holds the other’s changes too, or an undo would take them back unseen. */
  #rebase(theirs: Job): void {
    const common = this.common;
    const conflict = this.#conflict;
    if (!conflict) throw new Error('two versions were never told apart');
    this.history.rewrite((document) => conflict.merge(common, document, theirs, () => 'mine'));
    this.common = theirs;
  }

  async #refused(response: Response): Promise<void> {
    const body = (await response.json().catch(() => ({}))) as {
      issues?: { path: string; message: string }[];
      message?: string;
    };
    const first = body.issues?.[0];
    this.refusal = first ? `${first.path}: ${first.message}` : (body.message ?? 'The server did not take it.');
    this.saveState = 'refused';
  }

  get #key(): string {
    return `pilgrim.job.${this.id}`;
  }

  /** Kept in this browser until the server has it. */
  #keep(): void {
    const kept: Kept = {
      base: this.revision,
      document: this.#plain(),
      ...(this.common ? { common: this.common } : {}),
    };
    try {
      localStorage.setItem(this.#key, JSON.stringify(kept));
    } catch {
      // A full or forbidden store loses only the second line of defence.
    }
  }

  #forget(): void {
    try {
      localStorage.removeItem(this.#key);
    } catch {
      // As above.
    }
  }

  #readKept(): Kept | undefined {
    try {
      const text = localStorage.getItem(this.#key);
      return text === null ? undefined : (JSON.parse(text) as Kept);
    } catch {
      return undefined;
    }
  }
}

/** Clearing an optional field removes it; the job’s own texts stay as empty text. */
const emptyOf = (before: unknown, path: string): string | undefined =>
  ['title', 'tag', 'site', 'currency'].includes(path) && before !== undefined ? '' : undefined;
