/** Phasors and impedances. */
export interface Complex {
  readonly re: number;
  readonly im: number;
}

export const complex = (re: number, im = 0): Complex => ({ re, im });
export const add = (a: Complex, b: Complex): Complex => ({ re: a.re + b.re, im: a.im + b.im });
export const subtract = (a: Complex, b: Complex): Complex => ({ re: a.re - b.re, im: a.im - b.im });
export const multiply = (a: Complex, b: Complex): Complex => ({
  re: a.re * b.re - a.im * b.im,
  im: a.re * b.im + a.im * b.re,
});
export const inverse = ({ re, im }: Complex): Complex => {
  const square = re * re + im * im;
  return { re: re / square, im: -im / square };
};
export const divide = (a: Complex, b: Complex): Complex => multiply(a, inverse(b));
/** Math.hypot, which is many times slower, guards against figures no motor has. */
export const magnitude = ({ re, im }: Complex): number => Math.sqrt(re * re + im * im);
/** Two impedances side by side. */
export const parallel = (a: Complex, b: Complex): Complex => inverse(add(inverse(a), inverse(b)));
/** An impedance of a magnitude whose current lags by the angle of a power factor. */
export const lagging = (size: number, powerFactor: number): Complex => ({
  re: size * powerFactor,
  im: size * Math.sqrt(1 - powerFactor ** 2),
});
