import { USUAL_REDUCTION, VEGETABLE_WATER } from "#core/liquid";
import { dredgedFlour, type Plan } from "#core/plan";
import {
	KNEADED_FLOUR_G_PER_L,
	MOST_STEAM_KG_PER_M2_H,
	ROUX_FLOUR_G_PER_L,
	STARCH_G_PER_L,
	STEAM_KJ_PER_KG,
	thicken,
} from "#core/sauce";
import { durationWords } from "#core/time";
import { LIDS } from "#core/trade";
import { percent, type Reading } from "../ui/reading.ts";
import type { Sum, SumsFor } from "./arithmetic.ts";
import { saltWords } from "./pot.view.ts";

/** What is poured, line by line, and what becomes of it until the meat is lifted. */
export function liquidSums(given: SumsFor): Sum[] {
	const { plan, reading } = given;
	const liquids = plan.lines.filter(({ line }) => line.role === "liquid");
	return [
		{
			label: "Liquid",
			working: plan.pans.pans.map((pan) => reading.volume(pan.liquid_l)).join(" + "),
			result: reading.volume(plan.pans.liquid_l),
		},
		...liquids.map((one) => {
			const ml = one.measure_ml ?? 0;
			const reduced = one.line.reducedTo;
			const working = reduced
				? `straight with the meat, boiled down to ${percent(reduced)}: brings ${reading.volume((ml * reduced) / 1000)}`
				: `fills up to the line; the card's own ratio would be ${reading.volume((one.card_ml ?? 0) / 1000)}`;
			return { label: one.ingredient.name, working, result: reading.volume(ml / 1000) };
		}),
		...accountSums(given),
	];
}

function accountSums({ plan, recipe, reading }: SumsFor): Sum[] {
	const { liquid } = plan;
	if (!liquid) return [];
	const { lid } = recipe.braise;
	const absorbed = liquid.absorbed_l > 0 ? ` − ${reading.volume(liquid.absorbed_l)} taken up` : "";
	return [
		{
			label: "From vegetables",
			working: `${percent(VEGETABLE_WATER)} of their weight`,
			result: reading.volume(liquid.fromVegetables_l),
		},
		{
			label: "Out of the meat",
			working: "its cooking loss without the fat",
			result: reading.volume(liquid.weeping_l),
		},
		{
			label: "Steamed away",
			working: `all pans, ${LIDS[lid]}, in the ${durationWords(plan.braise_min.likely)} until it is likely tender: what comes to the boil less what the lid gives back`,
			result: reading.volume(liquid.evaporated_l),
		},
		{
			label: "Left when lifted",
			working: `${reading.volume(liquid.poured_l)} + ${reading.volume(liquid.fromVegetables_l)} + ${reading.volume(liquid.weeping_l)} − ${reading.volume(liquid.evaporated_l)}${absorbed}`,
			result: reading.volume(liquid.left_l),
		},
	];
}

/** The sauce wanted, the mark it is reduced to, its salt, and what would give it body instead. */
export function sauceSums(given: SumsFor): Sum[] {
	const { plan, recipe, reading } = given;
	return [
		{
			label: "Finished sauce",
			working: `${plan.chain.portions} portions × ${reading.volume(recipe.sauce_ml / 1000)}`,
			result: reading.volume(plan.sauce_l),
		},
		...takeSums(given),
		...markSums(given),
		...saltSums(given),
		...thickenerSums(plan, reading),
	];
}

/** What would give the sauce its body instead of reduction, less the flour that is in it already. */
function thickenerSums({ sauce_l, lines }: Plan, reading: Reading): Sum[] {
	const dredged_g = dredgedFlour(lines);
	const less = dredged_g > 0 ? `, less ${reading.mass(dredged_g / 1000)} of flour that is in it` : "";
	const litres = reading.volume(sauce_l);
	const grams = (weight = 0) => reading.mass(weight / 1000);
	const starch = thicken({ sauce_l, method: "starch", dredged_g });
	const roux = thicken({ sauce_l, method: "roux", dredged_g });
	const kneaded = thicken({ sauce_l, method: "kneadedButter", dredged_g });
	return [
		{
			label: "Or starch",
			working: `${litres} × ${STARCH_G_PER_L} g a litre${less}, slaked in twice its weight of water, added in thirds`,
			result: grams(starch.starch_g),
		},
		{
			label: "Or roux",
			working: `${litres} × ${ROUX_FLOUR_G_PER_L} g of flour a litre${less}, with as much fat; brings gluten`,
			result: `${grams(roux.flour_g)} + ${grams(roux.fat_g)}`,
		},
		{
			label: "Or kneaded butter",
			working: `${litres} × ${KNEADED_FLOUR_G_PER_L} g of flour a litre${less}, with as much butter; brings gluten and milk`,
			result: `${grams(kneaded.flour_g)} + ${grams(kneaded.fat_g)}`,
		},
	];
}

function takeSums({ plan, kitchen, reading }: SumsFor): Sum[] {
	const { liquid, sauce, salt_pct } = plan;
	if (!liquid || !sauce || sauce.take_l < sauce.wanted_l) return [];
	const { low, high } = kitchen.saltBand_pct;
	const working =
		salt_pct === null
			? `${reading.volume(sauce.wanted_l)} × ${USUAL_REDUCTION}: reduced by half`
			: `${reading.volume(sauce.wanted_l)} × ${saltWords((low + high) / 2)} wanted ÷ ${saltWords(liquid.salt_pct)} when lifted; not less than the sauce, not more than the ${reading.volume(sauce.there_l)} there is`;
	return [{ label: "Taken to reduce", working, result: reading.volume(sauce.take_l) }];
}

function markSums({ plan, kitchen, reading }: SumsFor): Sum[] {
	const { sauce } = plan;
	if (!sauce?.pot) return [];
	const [first] = sauce.remedies;
	const mark: Sum = {
		label: "Mark on the stick",
		working: `${reading.volume(sauce.wanted_l)} stand so high in ${sauce.pots > 1 ? `each of ${sauce.pots} ` : "the "}${sauce.pot.name}`,
		result: reading.length(sauce.mark_mm),
	};
	if (first?.kind !== "reduce") return [mark];
	const pace =
		first.limitedBy === "power"
			? `× ${STEAM_KJ_PER_KG} kJ/kg ÷ (${sauce.pots} × ${kitchen.hobPower_kW} kW)`
			: `÷ surface of ${sauce.pots === 1 ? "the pot" : "the pots"} × ${MOST_STEAM_KG_PER_M2_H} mm an hour, the most it gives off`;
	return [
		mark,
		{
			label: "To reduce",
			working: `(${reading.volume(sauce.take_l)} − ${reading.volume(sauce.wanted_l)}) ${pace}`,
			result: durationWords(first.minutes),
		},
	];
}

function saltSums({ plan, reading }: SumsFor): Sum[] {
	const { liquid, sauce, salt_pct } = plan;
	if (!liquid || !sauce || salt_pct === null) return [];
	const shared = liquid.left_l + liquid.vegetables_kg + liquid.cooked_kg;
	return [
		{
			label: "Salt when lifted",
			working: `${reading.mass(liquid.salt_g / 1000)} shared by ${reading.mass(shared)} of meat, vegetables and liquid`,
			result: saltWords(liquid.salt_pct),
		},
		{
			label: "Salt of the sauce",
			working: `${saltWords(liquid.salt_pct)} × ${reading.volume(sauce.take_l)} ÷ ${reading.volume(sauce.wanted_l)}`,
			result: saltWords(salt_pct),
		},
	];
}
