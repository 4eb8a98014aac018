import type { Attachment } from 'svelte/attachments';

/** A menu that opens from its summary: Esc, or going elsewhere, closes it and leaves the focus where it can be seen. */
export const menu: Attachment<HTMLDetailsElement> = (details) => {
  const close = (): void => details.removeAttribute('open');
  const onkeydown = (event: KeyboardEvent): void => {
    if (event.key !== 'Escape' || !details.open) return;
    event.stopPropagation();
    close();
    details.querySelector('summary')?.focus();
  };
  const elsewhere = (event: Event): void => {
    if (event.target instanceof Node && !details.contains(event.target)) close();
  };
  details.addEventListener('keydown', onkeydown);
  document.addEventListener('pointerdown', elsewhere);
  document.addEventListener('focusin', elsewhere);
  return () => {
    details.removeEventListener('keydown', onkeydown);
    document.removeEventListener('pointerdown', elsewhere);
    document.removeEventListener('focusin', elsewhere);
  };
};
