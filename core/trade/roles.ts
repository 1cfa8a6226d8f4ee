/** How an ingredient follows the size of the batch. @see model, section B */
export const ROLES = [
	"main",
	"second",
	"topping",
	"vegetable",
	"side",
	"searFat",
	"liquid",
	"salt",
	"potent",
	"thickener",
	"finishing",
] as const;

export type Role = (typeof ROLES)[number];

/** The law of each role in a cook's words. */
export const ROLE_LAW: Readonly<Record<Role, string>> = {
	main: "straight with the trimmed weight",
	second: "straight with the main's trimmed weight",
	topping: "straight with the main's trimmed weight",
	vegetable: "straight with the main's trimmed weight",
	side: "straight with the main's trimmed weight",
	searFat: "per load, never per kilo",
	liquid: "what the pans need to reach the line",
	salt: "a share of the main's trimmed weight",
	potent: "straight, or damped by the line's own exponent",
	thickener: "per litre of finished sauce",
	finishing: "per portion",
};
