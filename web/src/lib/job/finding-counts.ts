import type { Finding } from '@pilgrim/core';

type Severity = Finding['severity'];
const severities: readonly Severity[] = ['stop', 'caution', 'note'];

export const countOf = (findings: readonly Finding[], severity: Severity): number =>
  findings.filter((each) => each.severity === severity).length;

/** `1 stop · 2 cautions`, those that are there. */
export const countsOf = (findings: readonly Finding[]): string =>
  severities
    .map((severity) => [countOf(findings, severity), severity] as const)
    .filter(([count]) => count > 0)
    .map(([count, severity]) => `${count} ${severity}${count === 1 ? '' : 's'}`)
    .join(' · ') || 'nothing found';
