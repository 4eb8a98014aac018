import { inUnitsOf } from '@pilgrim/core/ground/quantity/other-units';
import type { School } from '@pilgrim/core/ground/quantity/units';

const KEY = 'pilgrim.units';

/** The units a person wants to see, in this browser; undefined shows each job in those of its own rules. */
class UnitsWanted {
  wanted = $state<School>();

  /** Takes up what was chosen before. Call once in the browser. */
  resume(): void {
    try {
      const kept = localStorage.getItem(KEY);
      if (kept === 'NEMA' || kept === 'IEC') this.wanted = kept;
    } catch {
      // A forbidden store forgets the choice with the page.
    }
  }

  show(school: School | undefined): void {
    this.wanted = school;
    try {
      if (school) localStorage.setItem(KEY, school);
      else localStorage.removeItem(KEY);
    } catch {
      // As above.
    }
  }

  /** Words of something that has its own units. */
  said(text: string): string {
    return this.wanted ? inUnitsOf(this.wanted, text) : text;
  }
}

export const units = new UnitsWanted();
