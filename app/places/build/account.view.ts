import type { PlanLiquid } from "#core/dish";
import { threeDigits } from "#core/quantity";
import { perCent, percent } from "../../ui/words/reading.ts";
import type { PlaceGiven } from "../Place.ts";

/** The liquid of the whole dish: what comes in, what goes, what is left. */
export interface AccountView {
	readonly rows: readonly AccountRow[];
	readonly words: string;
	readonly facts: readonly { readonly figure: string; readonly label: string }[];
	/** Which line brings how much salt, the most first; and where it is when the meat is lifted. */
	readonly salt: readonly SaltRow[];
	readonly saltEnds: readonly SaltRow[];
}

export interface SaltRow {
	readonly name: string;
	readonly mass: string;
	/** Of all the salt, in words. */
	readonly share: string;
	/** Whether it is brought by something else than salt. */
	readonly isHidden: boolean;
}

export interface AccountRow {
	readonly name: string;
	readonly litres: string;
	/** Where the bar begins and ends, as shares of the most there ever is. */
	readonly from: number;
	readonly to: number;
	readonly kind: "in" | "out" | "left";
}

/** Less than this is not worth a row, l. */
const A_DROP_L = 0.005;

export function accountView(given: PlaceGiven): AccountView | undefined {
	const { plan, reading } = given;
	const { liquid, sauce } = plan;
	if (!liquid) return undefined;
	const steps = [
		{ name: "Poured", litres: liquid.poured_l },
		{ name: "Out of vegetables and fruit", litres: liquid.fromVegetables_l },
		{ name: "Out of the meat", litres: liquid.weeping_l },
		{ name: "Steamed away", litres: -liquid.evaporated_l },
		{ name: "Taken up", litres: -liquid.absorbed_l },
	].filter(({ litres }, index) => index === 0 || Math.abs(litres) > A_DROP_L);
	const most = liquid.poured_l + liquid.fromVegetables_l + liquid.weeping_l || 1;
	let level = 0;
	const rows = steps.map(({ name, litres }): AccountRow => {
		const before = level;
		level += litres;
		const [low, high] = litres < 0 ? [level, before] : [before, level];
		const words = `${litres < 0 ? "− " : "+ "}${reading.volume(Math.abs(litres))}`;
		return { name, litres: words, from: low / most, to: high / most, kind: litres < 0 ? "out" : "in" };
	});
	const after = [
		{ name: "Goes with the strained vegetables", litres: -liquid.carried_l },
		{ name: "Puréed back", litres: liquid.puree_l },
	].filter(({ litres }) => Math.abs(litres) > A_DROP_L);
	const strained = after.map(({ name, litres }): AccountRow => {
		const [low, high] = litres < 0 ? [liquid.forSauce_l, liquid.left_l] : [liquid.left_l, liquid.forSauce_l];
		const words = `${litres < 0 ? "− " : "+ "}${reading.volume(Math.abs(litres))}`;
		return {
			name,
			litres: words,
			from: low / most,
			to: Math.min(1, high / most),
			kind: litres < 0 ? "out" : "in",
		};
	});
	const left: AccountRow = {
		name: "Left when it is lifted",
		litres: `= ${reading.volume(liquid.left_l)}`,
		from: 0,
		to: liquid.left_l / most,
		kind: "left",
	};
	const all = [...rows, left, ...strained];
	return {
		rows: all,
		salt: liquid.salt.from.map(({ name, g, hidden }) => saltRow(name, g, hidden, given)),
		saltEnds: saltEnds(liquid).map(({ name, g }) => saltRow(name, g, false, given)),
		words: `${all.map(({ name, litres }) => `${name} ${litres}`).join(", ")}.`,
		facts: [
			{ figure: reading.mass(liquid.fat_kg), label: "fat to skim" },
			...(plan.salt_pct === null
				? []
				: [{ figure: perCent(liquid.salt_pct), label: "salt before reducing" }]),
			...(liquid.salt.from.length > 1
				? [
						{
							figure: saltNames(liquid),
							label: `bring the salt, ${reading.mass(liquid.salt.g / 1000)} in all`,
						},
					]
				: []),
			...(sauce && sauce.gelatin_g_per_l > 0
				? [{ figure: `${threeDigits(sauce.gelatin_g_per_l)} g/l`, label: "gelatin of the sauce" }]
				: []),
		],
	};
}

function saltRow(name: string, g: number, isHidden: boolean, { plan, reading }: PlaceGiven): SaltRow {
	return { name, mass: reading.mass(g / 1000), share: percent(g / (plan.liquid?.salt.g || 1)), isHidden };
}

/** By the end meat, vegetables and liquid share the salt evenly by their weight. */
function saltEnds({ salt_pct, cooked_kg, vegetables_kg, left_l }: PlanLiquid) {
	return [
		{ name: "in the meat", g: salt_pct * 10 * cooked_kg },
		{ name: "in the vegetables", g: salt_pct * 10 * vegetables_kg },
		{ name: "in the liquid", g: salt_pct * 10 * left_l },
	].filter(({ g }) => g > 0);
}

/** "salt and anchovies"; the two that bring most. */
function saltNames({ salt }: PlanLiquid): string {
	return salt.from
		.slice(0, 2)
		.map(({ name }) => name)
		.join(" and ");
}
