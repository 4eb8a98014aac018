import type { StandardsSystem } from '@pilgrim/core/kernel/quantity/units';

const KEY = 'pilgrim.units';

/** The units a person wants to see, in this browser; undefined shows each job in those of its own rules. */
class UnitsWanted {
  wanted = $state<StandardsSystem>();

  /** Takes up what was chosen before. Call once in the browser. */
  resume(): void {
    try {
      const kept = localStorage.getItem(KEY);
      if (kept === 'NEMA' || kept === 'IEC') this.wanted = kept;
    } catch {
      // A forbidden store forgets the choice with the page.
    }
  }

  show(school: StandardsSystem | undefined): void {
    this.wanted = school;
    try {
      if (school) localStorage.setItem(KEY, school);
      else localStorage.removeItem(KEY);
    } catch {
      // As above.
    }
  }
}

export const units = new UnitsWanted();

/** Words of a list in the units they were stored in; no figure leaves its unit at the end of a line. */
export const unbroken = (text: string): string => text.replaceAll(/(?<=\d) (?=(?:A|V|hp|kW)\b)/g, '\u00a0');
