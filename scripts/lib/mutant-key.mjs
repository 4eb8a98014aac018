/** Names one change of a file, given from the root, and no other: a range holds what stands inside it as well. */
export const keyOf = (file, { location: { start, end }, mutatorName, replacement }) =>
  [file, start.line, start.column, end.line, end.column, mutatorName, replacement].join(':');
