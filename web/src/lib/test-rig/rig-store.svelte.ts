import { rigStart, type RigSetting } from '@pilgrim/core/test-rig/rig';
import type { RigState } from '@pilgrim/core/test-rig/registers';

/** ms between two looks at the meters, and of quiet before a hand that still turns is followed. */
const LOOKS = 600;
const QUIET = 120;

/** The rig as a page plays it: what the hand set, and what the meters read. */
export class RigStore {
  setting = $state.raw<RigSetting>(rigStart);
  blowers = $state.raw<RigState['blowers']>();
  trouble = $state('');
  #timer: ReturnType<typeof setTimeout> | undefined;
  /** A hand that turns is not turned back by what was read before. */
  #turning = false;
  #ended = false;

  start(): void {
    void this.#exchange();
  }

  stop(): void {
    this.#ended = true;
    clearTimeout(this.#timer);
  }

  set(part: Partial<RigSetting>): void {
    this.setting = { ...this.setting, ...part };
    this.#turning = true;
    this.#next(QUIET);
  }

  #next(after: number): void {
    clearTimeout(this.#timer);
    if (!this.#ended) this.#timer = setTimeout(() => void this.#exchange(), after);
  }

  async #exchange(): Promise<void> {
    const asked = this.setting;
    const response = await (
      this.#turning
        ? fetch('/api/rig', {
            method: 'PUT',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify(asked),
          })
        : fetch('/api/rig')
    ).catch(() => undefined);
    const answer = (await response?.json().catch(() => undefined)) as
      (RigState & { issues?: undefined }) | { issues: { message: string }[] } | undefined;
    if (asked !== this.setting) return;
    if (!response?.ok || !answer || answer.issues) {
      this.trouble = answer?.issues?.[0]?.message ?? 'The rig cannot be reached just now; it is tried again.';
    } else {
      this.trouble = '';
      this.#turning = false;
      this.setting = answer.setting;
      this.blowers = answer.blowers;
    }
    this.#next(LOOKS);
  }
}
