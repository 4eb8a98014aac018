/** The page’s own colours, read when a chart is drawn so that it follows light and dark. */
export function chartColours(): {
  ink: string;
  quiet: string;
  line: string;
  copper: string;
  sea: string;
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
    font: style?.fontFamily ?? 'sans-serif',
  };
}
