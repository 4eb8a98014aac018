import { onMount } from 'svelte';

const waiting: Record<'inView' | 'outOfSight', (() => void)[]> = { inView: [], outOfSight: [] };
let channel: MessageChannel | undefined;
let busy = false;

/** ms of tasks after which the browser may answer: a quick processor does several of them at once. */
const AT_ONCE = 4;

function next(): void {
  const until = performance.now() + AT_ONCE;
  try {
    do (waiting.inView.shift() ?? waiting.outOfSight.shift())?.();
    while (performance.now() < until && waits());
  } finally {
    busy = waits();
    if (busy) call();
  }
}

const waits = (): boolean => waiting.inView.length + waiting.outOfSight.length > 0;

/** A message comes as a task of its own, and unlike a timer at once. */
function call(): void {
  if (!channel) {
    channel = new MessageChannel();
    channel.port1.onmessage = next;
  }
  channel.port2.postMessage(undefined);
}

/** Does something soon, in short tasks, so that the browser answers in between; what is in view comes first. */
export function inTurn(task: () => void, where: keyof typeof waiting = 'outOfSight'): void {
  waiting[where].push(task);
  if (busy) return;
  busy = true;
  call();
}

/** Says when something that is out of sight is drawn: after the page has come to life, in its turn. */
export class Deferred {
  now = $state(false);

  constructor() {
    onMount(() => inTurn(() => (this.now = true)));
  }
}
