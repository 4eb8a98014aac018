/** rad/s */
export const synchronousSpeed = (frequency: number, poles: number): number => (4 * Math.PI * frequency) / poles;
