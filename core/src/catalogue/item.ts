import { z } from 'zod';

/** What can be bought. Numbers are SI (W, V, A, rad/s); prices are in the catalogue’s currency. */
export const common = {
  id: z.string().min(1).max(40),
  maker: z.string().max(80),
  series: z.string().max(80),
  name: z.string().max(160),
  price: z.number().nonnegative(),
  leadDays: z.number().int().nonnegative(),
};

/** What a catalogue is searched by besides name and maker: W, poles, A; null where the kind has none. */
export interface Searched {
  readonly power_w: number | null;
  readonly poles: number | null;
  readonly current_a: number | null;
}
