/** Displacement power factor of a drive’s input with a choke, and what it keeps of the power. Common practice, no published source. */
export const DRIVE_INPUT = { powerFactor: 0.95, efficiency: 0.97 } as const;
