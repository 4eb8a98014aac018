import type { AnyValue } from '@pilgrim/core';

export interface Shown {
  readonly label: string;
  readonly value: AnyValue;
  readonly anchor: HTMLElement;
}

/** The one figure whose working is open. */
export const working = $state<{ shown: Shown | undefined }>({ shown: undefined });

export function showWorking(label: string, value: AnyValue, anchor: HTMLElement): void {
  working.shown = { label, value, anchor };
}

export function closeWorking(): void {
  working.shown?.anchor.focus();
  working.shown = undefined;
}
