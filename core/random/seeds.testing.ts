import fc from "fast-check";

/**
 * The seed of every generated example of `npm test`: whoever runs it tries the same. The soak leaves
 * it open (`WT_OPEN_SEEDS`); what is found there is kept as an example of its law.
 */
export const SEED = 20_261_201;

if (!process.env.WT_OPEN_SEEDS) fc.configureGlobal({ seed: SEED });
