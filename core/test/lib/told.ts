import type { Solution } from '../../src/index.ts';

/** The figures of a sentence, in order; its wording is free to change. */
const figures = (text: string): string => (text.match(/[\d.,]*\d/g) ?? []).join(' ');

/** All that the plate’s stage tells, in short: values with origin and what they came from, findings with their figures. */
export function told({ values, findings, stages, details }: Solution) {
  const own = Object.entries(values).filter(([id]) => id.startsWith('nameplate.'));
  const { outlines, clues } = details;
  const inches = (metres: number | undefined): string => (metres === undefined ? '–' : (metres / 0.0254).toFixed(3));
  return {
    values: Object.fromEntries(
      own.map(([id, { text, origin, working }]) => [
        id.replace('nameplate.', ''),
        [text, origin, ...working.inputs.map((input) => `${input.symbol} = ${input.text}`)].join(' · '),
      ]),
    ),
    findings: findings
      .filter(({ stage }) => stage === 'nameplate')
      .map(({ code, severity, field, message, clear }) =>
        [code, severity, field ?? '', figures(message), figures(clear)].join(' · '),
      ),
    clues: clues.map(({ from, says, confidence }) => [from, says, confidence].join(' · ')),
    mounting: outlines.old
      ? [
          [outlines.old.frame, ...outlines.old.along.map(inches)].join(' · '),
          [outlines.old.height, outlines.old.across, outlines.old.shoulder].map(inches).join(' · '),
          [outlines.old.shaftDiameter, outlines.old.shaftLength, outlines.old.hole].map(inches).join(' · '),
          `notes: ${outlines.old.notes.length}`,
        ]
      : [],
    summary: stages.nameplate.summary,
  };
}
