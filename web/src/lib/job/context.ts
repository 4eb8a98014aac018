import { createContext } from 'svelte';
import type { JobStore } from './job-store.svelte';

/** The open job, for every part of its pages. */
export const [useJobStore, setJobStore] = createContext<JobStore>();
