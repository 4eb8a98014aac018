/** Shown on every sheet, on screen and in print, where the work can hurt someone. */
export const cautions: readonly string[] = [
  'Lock out, tag out and prove dead before touching anything.',
  'A drive’s DC link stays charged after isolation: wait the time on its label and measure below 50 V DC.',
  'The output of a soft starter is live even when it is off; isolate ahead of it.',
  'Rotating parts: guard shaft and coupling; check rotation uncoupled.',
  'Arc flash: work by the site’s label and with the clothing it asks for.',
  'Hot surfaces on motors and resistors; lift motors by their eye bolts only.',
  'Hazardous areas: only certified equipment chosen by a competent person.',
];

export const deferral =
  'Local codes and a licensed person decide. Table figures were recalled from memory; the printed standard decides.';
