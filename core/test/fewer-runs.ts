import fc from 'fast-check';

/** Mutation testing runs every property hundreds of times over: a few cases each must do. */
fc.configureGlobal({ numRuns: 15 });
