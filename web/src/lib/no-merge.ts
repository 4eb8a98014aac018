/** Stands in for the merging of classes (see `vite.config.ts`). */
export { clsx as twMerge } from 'clsx';
