import { add, divide, figure, reckoned, subtract, type Working, working } from "../workings/index.ts";

/** What goes into a pan, a batch or a dish, and what happens to it there. Masses kg unless named, volumes l. */
export interface LiquidGiven {
	/** Everything poured: stock, wine and marinade as they are after they were boiled down. */
	readonly poured_l: number;
	/** Vegetables that lie in the liquid, raw, and the water that they give up. */
	readonly vegetables_kg: number;
	readonly fromVegetables_l: number;
	/** Meat without bone as it comes out. */
	readonly cooked_kg: number;
	/** Juice the meat gives up in the pan, l. */
	readonly juice_l: number;
	/** Fat and gelatin the meat gives up in the pan. */
	readonly fat_kg: number;
	readonly gelatin_g: number;
	/** Fat of the searing that stays in. */
	readonly fatPoured_kg: number;
	/** Gelatin that the poured liquid brings. */
	readonly gelatinPoured_g: number;
	readonly salt_g: number;
	/** What boils or steams away in the whole time, if there is so much. */
	readonly evaporated_l: number;
	/** What the meat drinks back on cooling, and what grains and pulses take up. */
	readonly absorbed_l: number;
	readonly minutes: number;
	/** Liquid that strained vegetables carry off, and what puréed ones add; nothing where they stay as they are. */
	readonly carried_l?: number;
	readonly puree_l?: number;
}

/** What becomes of the vegetables of a pan when the meat is lifted. */
export type VegetablesAfter = "kept" | "strained" | "pressed" | "pureed";

/** Liquid that strained vegetables carry off, a share of their weight: 0.15 to 0.25; pressed, half of it comes back. @see model, section L */
export const STRAINED_CARRY = 0.2;
export const PRESSED_CARRY = STRAINED_CARRY / 2;
/** Cooked vegetables, kg a litre of purée. */
const PUREE_KG_A_LITRE = 1;

/** Liquid that goes away with some vegetables, and what they add to the sauce when they are puréed into it, l. */
export function afterStraining(
	vegetables_kg: number,
	after: VegetablesAfter = "kept",
): { readonly carried_l: number; readonly puree_l: number } {
	const carries = after === "strained" ? STRAINED_CARRY : after === "pressed" ? PRESSED_CARRY : 0;
	return {
		carried_l: carries * vegetables_kg,
		puree_l: after === "pureed" ? vegetables_kg / PUREE_KG_A_LITRE : 0,
	};
}

/** The account of the liquid when the meat is lifted. */
export interface LiquidAccount {
	readonly poured_l: number;
	/** Water out of the vegetables. */
	readonly fromVegetables_l: number;
	/** Juice out of the meat. */
	readonly weeping_l: number;
	readonly evaporated_l: number;
	readonly absorbed_l: number;
	/** What is left, without the fat. */
	readonly left_l: number;
	/** Of it, what strained vegetables carry off; and what puréed ones add. */
	readonly carried_l: number;
	readonly puree_l: number;
	/** What the sauce is made from. */
	readonly forSauce_l: number;
	/** Minute at which nothing would be left; null when something is. */
	readonly dryAt_min: number | null;
	readonly fat_kg: number;
	/** Salt of the liquid, % by weight: meat, vegetables and liquid share it evenly by the end. */
	readonly salt_pct: number;
	readonly salt_g: number;
	readonly vegetables_kg: number;
	readonly cooked_kg: number;
	readonly gelatin_g: number;
	/** How it came to that. */
	readonly sums: {
		readonly left: Working;
		readonly toTheSauce: Working | null;
		readonly saltWhenLifted: Working;
	};
}

/**
 * Liquid in, less what steams away and what is drunk up, is liquid out; salt, fat and gelatin
 * are carried through whole. Liquid never goes below nothing: then the minute is said.
 *
 * @see model, section F
 */
export function liquidAccount(given: LiquidGiven): LiquidAccount {
	const { fromVegetables_l } = given;
	const weeping_l = given.juice_l;
	const in_l = given.poured_l + fromVegetables_l + weeping_l;
	const evaporated_l = Math.min(given.evaporated_l, in_l);
	const absorbed_l = Math.min(given.absorbed_l, in_l - evaporated_l);
	const left = working(
		"left",
		subtract(
			add(
				figure(given.poured_l, "l", "poured"),
				figure(fromVegetables_l, "l", "fromVegetables"),
				figure(weeping_l, "l", "outOfTheMeat"),
			),
			figure(evaporated_l, "l", "steamedAway"),
			...(absorbed_l > 0 ? [figure(absorbed_l, "l", "takenUp")] : []),
		),
		"l",
	);
	const left_l = left.result.value;
	const isDry = given.evaporated_l >= in_l && in_l > 0;
	const vegetables_kg = given.vegetables_kg - fromVegetables_l;
	const cooked_kg = given.cooked_kg + absorbed_l;
	const { puree_l = 0 } = given;
	const gone_l = Math.min(given.carried_l ?? 0, left_l);
	const toTheSauce = strained(left_l, gone_l, puree_l);
	const saltWhenLifted = saltShared(given.salt_g, { left_l, vegetables_kg, cooked_kg });
	return {
		poured_l: given.poured_l,
		fromVegetables_l,
		weeping_l,
		evaporated_l,
		absorbed_l,
		left_l,
		carried_l: gone_l,
		puree_l,
		forSauce_l: toTheSauce ? toTheSauce.result.value : left_l,
		dryAt_min: isDry ? (given.minutes * in_l) / given.evaporated_l : null,
		fat_kg: given.fat_kg + given.fatPoured_kg,
		salt_pct: saltWhenLifted.result.value * 100,
		salt_g: given.salt_g,
		vegetables_kg,
		cooked_kg,
		gelatin_g: given.gelatin_g + given.gelatinPoured_g,
		sums: { left, toTheSauce, saltWhenLifted },
	};
}

/** What straining leaves of it for the sauce, or what a purée adds; null where vegetables stay as they are. */
function strained(left_l: number, gone_l: number, puree_l: number): Working | null {
	if (gone_l === 0 && puree_l === 0) return null;
	const left = figure(left_l, "l", "liquidLeft");
	const strainedOff = gone_l > 0 ? subtract(left, figure(gone_l, "l", "carriedOff")) : left;
	return working(
		"toTheSauce",
		puree_l > 0 ? add(strainedOff, figure(puree_l, "l", "pureedBack")) : strainedOff,
		"l",
	);
}

/** Meat, vegetables and liquid share the salt evenly by the end, kg a kilo. */
function saltShared(
	salt_g: number,
	{ left_l, vegetables_kg, cooked_kg }: Pick<LiquidAccount, "left_l" | "vegetables_kg" | "cooked_kg">,
): Working {
	const by = add(
		figure(left_l, "l", "liquidLeft"),
		figure(vegetables_kg, "kg", "vegetables"),
		figure(cooked_kg, "kg", "meat"),
	);
	const salt = figure(salt_g / 1000, "kg", "salt");
	return working("saltWhenLifted", reckoned(by) > 0 ? divide(salt, by) : figure(0, "share"), "share");
}
