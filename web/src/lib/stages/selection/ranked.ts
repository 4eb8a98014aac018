/** Something to choose from a list. */
export interface RankedRow {
  readonly id: string;
  readonly name: string;
  /** In small under its name. */
  readonly under: string;
  /** What speaks for it. */
  readonly reasons: string;
}

/** A column of figures that a list of things to choose from can be sorted by. */
export interface RankedColumn<Row> {
  readonly id: string;
  readonly label: string;
  readonly of: (row: Row) => number;
  readonly text: (row: Row) => string;
  /** Drawn against the largest of all rows. */
  readonly bar?: boolean;
}
