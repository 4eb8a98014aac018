/** What a site keeps for its jobs: a way it is fed, or a book of prices. */
export type RecordKind = 'supply' | 'prices';

export interface SiteRecord {
  readonly name: string;
  /** Fields as typed, by their names; in a book of prices `parts` beside them. */
  readonly document: Readonly<Record<string, unknown>>;
}

/** A line of a book of prices, as typed. */
export interface PricedPart {
  readonly part: string;
  readonly price?: string | number | undefined;
}

/** Of the money stage, what a book of prices holds: the same for every job of the site. */
export const bookFields = ['energyPrice', 'priceGrowth', 'carbonFactor', 'carbonSource'] as const;
