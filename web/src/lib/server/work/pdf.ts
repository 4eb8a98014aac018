import { existsSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';
import pdfmake from 'pdfmake';
import type { Content } from 'pdfmake/interfaces';

const require = createRequire(import.meta.url);

/** The face as the build unpacked it; while developing as it comes, which takes longer for each paper. */
function face(weight: number, style: string): string {
  const unpacked = fileURLToPath(new URL(`fonts/${weight}-${style}.ttf`, import.meta.url));
  if (existsSync(unpacked)) return unpacked;
  return require.resolve(
    `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-${style}.woff`,
  );
}

let ready = false;

/** Fonts come from the package and are embedded; nothing else may be read or fetched while a PDF is made. */
export function prepare(): void {
  if (ready) return;
  const faces = {
    normal: face(400, 'normal'),
    bold: face(700, 'normal'),
    italics: face(400, 'italic'),
    bolditalics: face(700, 'italic'),
  };
  pdfmake.setFonts({ Atkinson: faces });
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((path: string) => Object.values(faces).includes(path));
  ready = true;
}

/** Characters the Latin face lacks, in words; anything else it lacks becomes a question mark rather than a blank. */
const substitutes: Readonly<Record<string, string>> = {
  η: 'eta',
  φ: 'phi',
  λ: 'lambda',
  θ: 'theta',
  π: 'pi',
  Ω: 'ohm',
  '₂': '2',
  ₖ: 'k',
  ₙ: 'n',
  ₛ: 's',
  '≈': '~',
  '△': '',
  '✕': '',
  Δ: 'D',
  '√': 'sqrt ',
  '′': "'",
  '″': '"',
  '⁻': '-',
  '▲': '',
  '≥': '>=',
  '≤': '<=',
  '∝': '~',
  '→': 'to',
  '✓': '',
  '‑': '-',
  '\u202f': '\u00a0',
};
const LATIN = /[\n\u0020-\u00ff\u0131\u0152\u0153\u02bb-\u02dc\u2000-\u206f\u20ac\u2122\u2212]/;
export const printable = (text: string): string =>
  Array.from(text, (char) => substitutes[char] ?? (LATIN.test(char) ? char : '?')).join('');

export const QUIET = '#575b5c';
export const colours = { stop: '#a01c2c', caution: '#8a5a00', note: '#12566b' } as const;

/** What everybody reads before anything is touched. */
export const boxed = (lines: readonly string[], last?: string): Content => ({
  table: {
    widths: ['*'],
    body: [
      [
        {
          stack: [
            { text: 'Safety cautions', bold: true, color: colours.caution },
            { ul: lines.map(printable) },
            ...(last === undefined
              ? []
              : [{ text: printable(last), bold: true, margin: [0, 3, 0, 0] } satisfies Content]),
          ],
        },
      ],
    ],
  },
  layout: { hLineColor: () => colours.caution, vLineColor: () => colours.caution },
  unbreakable: true,
  margin: [0, 4, 0, 0],
});

export const cell = (text: string, bold: boolean) => ({ text: printable(text), bold });
