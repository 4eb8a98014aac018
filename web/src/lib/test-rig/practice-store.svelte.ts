import { nothingSeen, seenAfter, type Seen } from '@pilgrim/core/test-rig/exercise';
import {
  atRest,
  fromTheBox,
  practiceStart,
  type PracticeHand,
  type PracticeSetting,
} from '@pilgrim/core/test-rig/practice';
import type { Practice } from '@pilgrim/core/test-rig/registers';

/** ms between two looks at the drive; looks that are kept for the picture. */
const LOOKS = 400;
const KEPT = 150;

type Ask = Partial<PracticeHand> & { readonly setting?: Partial<PracticeSetting> };

/** The drive to practise on as a page plays it, with what was seen of it for the exercise. */
export class PracticeStore {
  now = $state.raw<Practice>({ setting: fromTheBox, hand: atRest, state: practiceStart });
  /** Seconds, Hz and A of the looks before. */
  past = $state.raw<readonly (readonly [seconds: number, hertz: number, amperes: number])[]>([]);
  seen = $state.raw<Seen>(nothingSeen);
  trouble = $state('');
  ready = $state(false);
  #timer: ReturnType<typeof setTimeout> | undefined;
  #asked: Practice | undefined;
  #looked = 0;
  #ended = false;

  start(): void {
    void this.#exchange();
  }

  stop(): void {
    this.#ended = true;
    clearTimeout(this.#timer);
  }

  /** Turns a knob; what was asked before and not yet sent goes with it. */
  set({ setting, ...hand }: Ask): void {
    const from = this.#asked ?? this.now;
    this.#asked = {
      ...from,
      setting: { ...from.setting, ...setting },
      hand: { ...from.hand, reset: false, ...hand },
    };
    this.now = { ...this.now, setting: this.#asked.setting, hand: this.#asked.hand };
    this.#next(80);
  }

  /** Begins the exercise anew, with the drive as it left its box. */
  again(): void {
    this.seen = nothingSeen;
    this.past = [];
    this.set({ setting: fromTheBox, run: false, reset: true, signal: 4 });
  }

  #next(after: number): void {
    clearTimeout(this.#timer);
    if (!this.#ended) this.#timer = setTimeout(() => void this.#exchange(), after);
  }

  async #exchange(): Promise<void> {
    const asked = this.#asked;
    const response = await (
      asked
        ? fetch('/api/rig/practice', {
            method: 'PUT',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify({ setting: asked.setting, hand: asked.hand }),
          })
        : fetch('/api/rig/practice')
    ).catch(() => undefined);
    const answer = (await response?.json().catch(() => undefined)) as
      (Practice & { issues?: undefined }) | { issues: { message: string }[] } | undefined;
    if (asked !== this.#asked) return void this.#next(0);
    if (!response?.ok || !answer || answer.issues)
      this.trouble = answer?.issues?.[0]?.message ?? 'The drive cannot be reached just now; it is tried again.';
    else this.#take(answer);
    this.#next(LOOKS);
  }

  #take(answer: Practice): void {
    const seconds = performance.now() / 1000;
    this.trouble = '';
    this.ready = true;
    this.#asked = undefined;
    this.seen = seenAfter(this.seen, this.now.state, answer.state, this.#looked ? seconds - this.#looked : 0);
    this.#looked = seconds;
    this.now = answer;
    this.past = [
      ...this.past.slice(1 - KEPT),
      [Number(seconds.toFixed(1)), answer.state.frequency, answer.state.current] as const,
    ];
  }
}
