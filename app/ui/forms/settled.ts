import { refuse } from "#core/check";
import { type ByProductUses, type ChillChoice, MOST_PARTS } from "#core/dish";
import type { LiquidLine, PanWish } from "#core/pans";
import type { Swap } from "#core/recipe";
import { type CookChoice, LEAST_PORTION, PARTS } from "#core/sitting";
import { BY_PRODUCT_KINDS, HEAT_WAYS, type HeatWay, LID_KEYS, type Lid } from "#core/trade";

/** What the chef has settled for a dish, as it stands in an address or a form. */

/** "gn-1-1-100:3,gn-1-2-100:0": so many of a kind, none of another. */
export function wishesTyped(wishes: readonly PanWish[]): string {
	return wishes.map(({ typeId, count }) => `${typeId}:${count}`).join(",");
}

/** Pans of one kind that can be settled. */
const MOST_PANS = 1000;

/** @throws {Refusal} naming `wishes` */
export function readWishes(text: string): PanWish[] {
	if (text === "") return [];
	return text.split(",").map((wish) => {
		const [typeId = "", digits = ""] = wish.split(":");
		const count = Number(digits);
		if (!/^[\w-]{1,40}$/.test(typeId) || !/^\d{1,4}$/.test(digits) || count > MOST_PANS) {
			throw refuse(
				"wishes",
				`“${wish}” was given; a kind of pan and a number from 0 to ${MOST_PANS} is allowed`,
			);
		}
		return { typeId, count };
	});
}

/** The wishes with one kind settled, or released again (null). */
export function withWish(wishes: readonly PanWish[], typeId: string, count: number | null): PanWish[] {
	const others = wishes.filter((wish) => wish.typeId !== typeId);
	return count === null ? others : [...others, { typeId, count }];
}

/** "share:0.5", "below:15", "over:2"; nothing where the card's own line holds. */
export function lineTyped(line: LiquidLine | null): string {
	if (line === null) return "";
	if ("share" in line) return `share:${Number(line.share.toFixed(3))}`;
	return "below_mm" in line ? `below:${line.below_mm}` : `over:${line.over_mm}`;
}

/** Deepest that a line is drawn over or under the top of a piece, mm. */
const FARTHEST_MM = 400;

/** @throws {Refusal} naming `line` */
export function readLine(text: string): LiquidLine | null {
	if (text === "") return null;
	const [kind = "", digits = ""] = text.split(":");
	const figure = digits === "" ? Number.NaN : Number(digits);
	if (kind === "share" && figure > 0 && figure <= 1) return { share: figure };
	if (kind === "below" && figure >= 0 && figure <= FARTHEST_MM) return { below_mm: figure };
	if (kind === "over" && figure >= 0 && figure <= FARTHEST_MM) return { over_mm: figure };
	throw refuse(
		"line",
		`“${text}” was given; share:0.5, below:15 or over:2 (up to ${FARTHEST_MM} mm) is allowed`,
	);
}

/** "blast-chiller:2", "cold-room:1.35:ice"; nothing where the plan decides. */
export function chillTyped(chill: ChillChoice | null): string {
	if (chill === null) return "";
	return [chill.coolerId ?? "", chill.parts, ...(chill.ice ? ["ice"] : [])].join(":");
}

/** @throws {Refusal} naming `chill` */
export function readChill(text: string): ChillChoice | null {
	if (text === "") return null;
	const [coolerId = "", digits = "", ice = ""] = text.split(":");
	const parts = Number(digits);
	const holds = /^[\w-]{0,40}$/.test(coolerId) && /^[1-9](\.\d{1,2})?$/.test(digits) && parts <= MOST_PARTS;
	if (!holds || (ice !== "" && ice !== "ice")) {
		throw refuse(
			"chill",
			`“${text}” was given; where it is cooled, and over 1 to ${MOST_PARTS} times the floor, is allowed`,
		);
	}
	return { coolerId: coolerId || null, parts, ice: ice === "ice" };
}

/** "oven:170:lid:2", "hob:::1", ":::1:0.9" for a smaller portion; nothing where the card's way holds. */
export function cookTyped(cook: CookChoice | null): string {
	if (cook === null) return "";
	const { heat, set_C, lid, parts, portion } = cook;
	return [heat ?? "", set_C ?? "", lid ?? "", parts, ...(portion === undefined ? [] : [portion])].join(":");
}

/** @throws {Refusal} naming `cook` */
export function readCook(text: string): CookChoice | null {
	if (text === "") return null;
	const [heat = "", degrees = "", lid = "", digits = "", share = ""] = text.split(":");
	const portion = share === "" ? 1 : Number(share);
	const set_C = degrees === "" ? null : Number(degrees);
	const parts = PARTS.find((one) => String(one) === digits);
	const knows = (heat === "" || isHeat(heat)) && (lid === "" || isLid(lid));
	if (!(portion >= LEAST_PORTION && portion <= 1)) {
		throw refuse(
			"cook",
			`a portion of ${share} was given; from ${LEAST_PORTION} to 1 of the card's is allowed`,
		);
	}
	if (
		!knows ||
		parts === undefined ||
		!/^\d{0,3}$/.test(degrees) ||
		(set_C ?? COOLEST_C) < COOLEST_C ||
		(set_C ?? 0) > HOTTEST_C
	) {
		throw refuse(
			"cook",
			`“${text}” was given; a heat, ${COOLEST_C} to ${HOTTEST_C} °C, a lid, and pieces whole, in 2 or in 4 are allowed`,
		);
	}
	return {
		heat: isHeat(heat) ? heat : null,
		set_C,
		lid: isLid(lid) ? lid : null,
		parts,
		...(portion === 1 ? {} : { portion }),
	};
}

/** Between these a dish is made tender, °C. */
const COOLEST_C = 55;
const HOTTEST_C = 260;
const isHeat = (text: string): text is HeatWay => (HEAT_WAYS as string[]).includes(text);
const isLid = (text: string): text is Lid => (LID_KEYS as string[]).includes(text);

/** "dry-cider>perry,almond>breadcrumbs": what lines are made with in place of what the card says. */
export function swapsTyped(swaps: readonly Swap[]): string {
	return swaps.map(({ from, to }) => `${from}>${to}`).join(",");
}

/** @throws {Refusal} naming `swaps` */
export function readSwaps(text: string): Swap[] {
	if (text === "") return [];
	return text.split(",").map((swap) => {
		const [from = "", to = "", more] = swap.split(">");
		if (![from, to].every((id) => /^[a-z0-9-]{1,60}$/.test(id)) || more !== undefined) {
			throw refuse("swaps", `“${swap}” was given; an ingredient and what stands in its place are allowed`);
		}
		return { from, to };
	});
}

/** The swaps with one line made with something else, or with its own again (null). */
export function withSwap(swaps: readonly Swap[], from: string, to: string | null): Swap[] {
	const others = swaps.filter((swap) => swap.from !== from);
	return to === null ? others : [...others, { from, to }];
}

/** "trim>house-broth,bones>house-broth": where what is left of it goes. */
export function usesTyped(uses: ByProductUses): string {
	return Object.entries(uses)
		.map(([kind, to]) => `${kind}>${to}`)
		.join(",");
}

/** @throws {Refusal} naming `byProducts` */
export function readUses(text: string): ByProductUses {
	if (text === "") return {};
	const uses = text.split(",").map((use) => {
		const [kind = "", to = "", more] = use.split(">");
		const known = BY_PRODUCT_KINDS.find((key) => key === kind);
		if (known === undefined || !/^[a-z0-9-]{1,60}$/.test(to) || more !== undefined) {
			throw refuse("byProducts", `“${use}” was given; what is left and what is made with it are allowed`);
		}
		return [known, to];
	});
	return Object.fromEntries(uses);
}
