/** The page’s own colours, read when a chart is drawn so that it follows light and dark. */
export function chartColours(): {
  ink: string;
  quiet: string;
  line: string;
  copper: string;
  sea: string;
  stop: string;
  card: string;
  font: string;
} {
  const style = typeof document === 'undefined' ? undefined : getComputedStyle(document.body);
  const read = (name: string): string => style?.getPropertyValue(`--${name}`).trim() ?? '';
  return {
    ink: read('ink'),
    quiet: read('quiet'),
    line: read('line'),
    copper: read('copper'),
    sea: read('sea'),
    stop: read('stop'),
    card: read('card'),
    font: style?.fontFamily ?? 'sans-serif',
  };
}

/** A figure on an axis. */
export const minus = (value: number | string): string => String(value).replace('-', '−');

/** Axis look shared by all charts. */
export function axisLook(): Record<string, unknown> {
  const { quiet, line } = chartColours();
  return {
    axisLabel: { color: quiet, formatter: minus, hideOverlap: true },
    nameTextStyle: { color: quiet },
    axisLine: { lineStyle: { color: line } },
  };
}
