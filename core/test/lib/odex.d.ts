/** What is used of odex; its own source does not pass this project’s compiler settings. */
export class Solver {
  constructor(dimension: number);
  absoluteTolerance: number;
  relativeTolerance: number;
  solve(
    derivative: (x: number, y: number[]) => number[],
    from: number,
    start: readonly number[],
    to: number,
  ): { readonly y: number[] };
}
