/** Where the lines of a card stand together. */
export const GROUPS = ["base", "liquid", "finish", "garnish", "side"] as const;
export type Group = (typeof GROUPS)[number];
