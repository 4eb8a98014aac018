import type * as Other from '@pilgrim/core/ground/quantity/other-units';
import type { School } from '@pilgrim/core/ground/quantity/units';

const KEY = 'pilgrim.units';

/** The units a person wants to see, in this browser; undefined shows each job in those of its own rules. */
class UnitsWanted {
  wanted = $state<School>();
  /** Fetched once somebody wants other units. */
  #other = $state.raw<typeof Other>();

  /** Takes up what was chosen before. Call once in the browser. */
  resume(): void {
    try {
      const kept = localStorage.getItem(KEY);
      if (kept === 'NEMA' || kept === 'IEC') this.#want(kept);
    } catch {
      // A forbidden store forgets the choice with the page.
    }
  }

  #want(school: School | undefined): void {
    this.wanted = school;
    if (school && !this.#other)
      void import('@pilgrim/core/ground/quantity/other-units').then((other) => (this.#other = other));
  }

  show(school: School | undefined): void {
    this.#want(school);
    try {
      if (school) localStorage.setItem(KEY, school);
      else localStorage.removeItem(KEY);
    } catch {
      // As above.
    }
  }

  /** A whole result, as another school shows it. */
  turned<T>(school: School, result: T): T {
    return this.#other ? this.#other.inUnits(school, result) : result;
  }

  /** Words of something that has its own units; no figure leaves its unit. */
  said(text: string): string {
    const own = this.wanted && this.#other ? this.#other.inUnitsOf(this.wanted, text) : text;
    return own.replaceAll(/(?<=\d) (?=(?:A|V|hp|kW)\b)/g, '\u00a0');
  }
}

export const units = new UnitsWanted();
