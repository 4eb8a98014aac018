import type { StandardsSystem } from '../../src/kernel/quantity/units.ts';
import type { Text } from '../../src/kernel/text.ts';
import { textIn } from '../../src/present/present.ts';

/** A text as a job of that system shows it, with plain spaces before its units; empty where there is none. */
export const inWords = (text: Text | undefined, units: StandardsSystem = 'NEMA'): string =>
  text === undefined ? '' : textIn(text, { units }).replaceAll('\u00a0', ' ');
