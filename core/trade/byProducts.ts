/** What is left of a dish and worth keeping, in a cook's words. */
export const BY_PRODUCTS = {
	trim: "raw trim",
	bones: "bones",
	fat: "rendered fat",
	liquid: "braising liquid",
} as const;
export type ByProductKind = keyof typeof BY_PRODUCTS;
export const BY_PRODUCT_KINDS = Object.keys(BY_PRODUCTS) as ByProductKind[];
