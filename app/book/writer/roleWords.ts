import type { Role } from "#core/trade";

/** The roles of lines as a cook reads them. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
	main: "main",
	second: "second main",
	topping: "topping",
	vegetable: "vegetable",
	side: "side",
	searFat: "searing fat",
	liquid: "braising liquid",
	salt: "salt",
	potent: "potent",
	thickener: "thickener",
	finishing: "finishing",
};
