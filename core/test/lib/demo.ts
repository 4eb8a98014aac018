import { demoCatalogue } from '../../../db/demo/catalogue.ts';

/** The demo’s catalogue, made once for all tests that run together. */
export const demo = demoCatalogue();
