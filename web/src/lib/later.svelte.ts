import { onMount } from 'svelte';

const waiting: (() => void)[] = [];

function next(): void {
  waiting.shift()?.();
  if (waiting.length > 0) setTimeout(next);
}

/** Does something soon, in a task of its own, so that the browser answers in between. */
export function inTurn(task: () => void): void {
  if (waiting.push(task) === 1) setTimeout(next);
}

/** Says when something that is out of sight is drawn: after the page has come to life, in its turn. */
export class Later {
  now = $state(false);

  constructor() {
    onMount(() => inTurn(() => (this.now = true)));
  }
}
