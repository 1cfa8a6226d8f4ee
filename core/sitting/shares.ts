import { refuse } from "../check/index.ts";
import { readNumber } from "../quantity/index.ts";

/** Who takes a dish, where that is not a fixed per cent of the covers. */
export type DishShare =
	/** So many guests, however many come. */
	| { readonly by: "guests"; readonly guests: number }
	/** All whom no other dish feeds. */
	| { readonly by: "rest" };

/**
 * Dishes with the share of the covers that each is taken by: so many guests as their share of the
 * covers, and the rest what the others leave, in equal parts where several take it.
 *
 * @param covers guests, a whole number above 0
 */
export function sharedOut<D extends UptakeRead>(covers: number, dishes: readonly D[]): D[] {
	const counted = dishes.map((dish) =>
		dish.share?.by === "guests" ? { ...dish, uptake: Math.min(1, dish.share.guests / covers) } : dish,
	);
	const isRest = ({ share }: D) => share?.by === "rest";
	const rests = counted.filter(isRest).length;
	if (rests === 0) return counted;
	const taken = counted.reduce((sum, dish) => sum + (isRest(dish) ? 0 : dish.uptake), 0);
	const uptake = Math.max(0, 1 - taken) / rests;
	return counted.map((dish) => (isRest(dish) ? { ...dish, uptake } : dish));
}

/** A share as it is typed, and what it stands for. */
export interface UptakeRead {
	/** 0 to 1; of the rest, what it was when it was last shared out. */
	readonly uptake: number;
	readonly share: DishShare | null;
}

const PERCENT = "a percentage from 0.1 to 100, so many guests such as “110 guests”, or “the rest”";

/**
 * "62", "62 %", "110 guests", "the rest".
 *
 * @param before what the dish had before, for the rest until it is shared out
 * @throws {Refusal} naming `uptake`
 */
export function readUptake(text: string, covers: number, before = 0): UptakeRead {
	const typed = text.trim();
	if (/^(?:the\s+)?rest$/i.test(typed)) return { uptake: before, share: { by: "rest" } };
	const guests = /^(\d{1,6})\s*(?:guests?|covers?)$/i.exec(typed);
	if (guests) {
		const count = Number(guests[1]);
		if (count < 1 || count > covers) {
			throw refuse("uptake", `${count} guests were given; from 1 to the ${covers} covers is allowed`);
		}
		return { uptake: count / covers, share: { by: "guests", guests: count } };
	}
	const percent = readNumber(typed.replace(/\s*%$/, ""), "uptake");
	if (percent === undefined || percent < 0.1 || percent > 100) {
		throw refuse("uptake", `“${typed}” was given; ${PERCENT} is allowed`);
	}
	return { uptake: percent / 100, share: null };
}

/** Guests who do not eat one portion each. */
export interface GuestSizes {
	/** Covers at half a portion, as children are. */
	readonly half: number;
	/** Covers at one and a half. */
	readonly oneAndHalf: number;
	/** Portions that are asked for again, a share of those first served. */
	readonly seconds: number;
}

/**
 * Portions that a guest takes on average, second helpings counted.
 *
 * @param covers guests, of whom those at half and at one and a half are a part
 * @example portionsAGuest(100, { half: 20, oneAndHalf: 10, seconds: 0.1 }) // 1.045
 */
export function portionsAGuest(covers: number, { half, oneAndHalf, seconds }: GuestSizes): number {
	return ((covers - half / 2 + oneAndHalf / 2) / covers) * (1 + seconds);
}
