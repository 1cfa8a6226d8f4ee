import { CUT_SPREAD, THICKNESS_SPREAD } from "#core/braise";
import { formOf, thicknessOf } from "#core/heat";
import { BED_FILL, type ChosenPan, type LiquidLine, lineWords } from "#core/pans";
import type { Kitchen, Plan } from "#core/plan";
import { threeDigits } from "#core/quantity";
import type { Recipe } from "#core/recipe";
import {
	COLOUR_MIN,
	COLOUR_RECOVERY_MIN,
	FILM_MM,
	SEAR_GAP_MM,
	TRAY_FILM_MM,
	TRAY_HANDS_MIN,
} from "#core/sear";
import { durationWords } from "#core/time";
import type { PlaceKey } from "#core/trade";
import { cutWords } from "#core/trade";
import { isByPiece } from "#core/yields";
import type { DishWithRecipe, Sitting } from "#db";
import { counted, percent, type Reading } from "../ui/reading.ts";
import { liquidSums, sauceSums } from "./liquidSums.ts";

/** One figure and the sum behind it, with the numbers in it. */
export interface Sum {
	readonly label: string;
	readonly working: string;
	readonly result: string;
}

export interface SumsFor {
	readonly recipe: Recipe;
	readonly plan: Plan;
	readonly sitting: Pick<Sitting, "covers" | "hands">;
	readonly dish: DishWithRecipe;
	readonly kitchen: Kitchen;
	readonly reading: Reading;
	/** The line of the card itself, before the sitting's own. */
	readonly cardLine: LiquidLine;
}

/** The arithmetic of each place of the long table. */
export function sumsOf(place: PlaceKey, given: SumsFor): Sum[] {
	switch (place) {
		case "buy":
			return [...portionSums(given), ...purchaseSums(given)];
		case "trim":
			return [...yieldSums(given), workSum("trim", given)];
		case "marinate":
			return marinadeSums(given);
		case "sear":
			return searSums(given);
		case "build":
			return [...liquidSums(given), workSum("build", given)];
		case "panUp":
			return panSums(given);
		case "braise":
			return braiseSums(given);
		case "rest":
			return clockSums(given);
		case "sauce":
			return [...sauceSums(given), workSum("sauce", given)];
		case "plate":
			return [...portionSums(given), workSum("plate", given)];
	}
}

function portionSums({ plan, sitting, dish, reading, recipe }: SumsFor): Sum[] {
	const wanted: Sum = {
		label: "Portions wanted",
		working: `${sitting.covers} covers × ${percent(dish.uptake)} taking it × (1 + ${percent(dish.spare)} spare), up to a whole one`,
		result: String(plan.wanted),
	};
	if (plan.setBy === "covers") return [wanted];
	const from =
		plan.setBy === "meat"
			? `${reading.mass(plan.chain.asPurchased_kg)} on hand, walked down to the plate, down to a whole one`
			: `${dish.panCount} pans × ${threeDigits(plan.pieces / (dish.panCount ?? 1))} pieces of ${reading.mass(recipe.piece.weight_g / 1000)}, walked down to the plate`;
	return [wanted, { label: "Portions it makes", working: from, result: String(plan.chain.portions) }];
}

function trimmedSum({ plan, recipe, reading }: SumsFor): Sum {
	const { chain } = plan;
	const { trimLoss, boneShare = 0, cookingLoss } = recipe.losses;
	const lost = `(1 − ${percent(cookingLoss)} lost in cooking)`;
	const kept = boneShare > 0 ? `((1 − ${percent(boneShare)} bone) × ${lost})` : lost;
	return {
		label: "Trimmed",
		working: isByPiece(recipe.portion)
			? `${reading.mass(chain.asPurchased_kg)} × (1 − ${percent(trimLoss)} trim)`
			: `${reading.mass(chain.cooked_kg)} cooked ÷ ${kept}`,
		result: reading.mass(chain.trimmed_kg),
	};
}

function yieldSums(given: SumsFor): Sum[] {
	const { chain } = given.plan;
	const { mass } = given.reading;
	return [
		trimmedSum(given),
		{
			label: "Trim, to stock",
			working: `${mass(chain.asPurchased_kg)} − ${mass(chain.trimmed_kg)}`,
			result: mass(chain.asPurchased_kg - chain.trimmed_kg),
		},
	];
}

function purchaseSums(given: SumsFor): Sum[] {
	const { plan, recipe, reading } = given;
	const { chain } = plan;
	const { trimLoss } = recipe.losses;
	const sums: Sum[] = isByPiece(recipe.portion)
		? [
				{
					label: "As purchased",
					working: `${chain.portions} portions × ${recipe.portion.piecesPerPortion} a portion × ${reading.mass(recipe.portion.piece_g / 1000)}`,
					result: reading.mass(chain.asPurchased_kg),
				},
			]
		: [
				{
					label: "Cooked",
					working: `${chain.portions} portions × ${reading.mass(recipe.portion.portion_g / 1000)}`,
					result: reading.mass(chain.cooked_kg),
				},
				trimmedSum(given),
				{
					label: "As purchased",
					working: `${reading.mass(chain.trimmed_kg)} ÷ (1 − ${percent(trimLoss)} trim)`,
					result: reading.mass(chain.asPurchased_kg),
				},
			];
	if (chain.packs !== undefined && chain.order_kg !== undefined && recipe.pack_kg !== undefined) {
		sums.push({
			label: "Order",
			working: `${reading.mass(chain.asPurchased_kg)} ÷ ${reading.mass(recipe.pack_kg)} a pack, up to ${counted(chain.packs, "pack")}`,
			result: reading.mass(chain.order_kg),
		});
	}
	return sums;
}

function marinadeSums({ plan, recipe, reading }: SumsFor): Sum[] {
	const { marinate } = recipe;
	if (!marinate || plan.clock.marinate === undefined) return [];
	const minutes = (plan.clock.sear - plan.clock.marinate) / 60_000;
	return [
		{
			label: "In the marinade",
			working: `${reading.clock(plan.clock.marinate)} to ${reading.clock(plan.clock.sear)}; the card asks ${durationWords(marinate.minutes)}, at most ${durationWords(marinate.longest_min)}`,
			result: durationWords(minutes),
		},
	];
}

function searSums(given: SumsFor): Sum[] {
	const { plan, recipe, kitchen, reading } = given;
	const pan = plan.colour?.pan;
	if (plan.colour?.way === "oven") return [...colourSums(given), workSum("sear", given)];
	if (!pan || !recipe.sear || !kitchen.searPan) return [];
	const { perLoad, loads, minutes, fat_g } = pan;
	const { sides, minutesPerSide, recovery_min, gap_mm } = recipe.sear;
	const rounds = Math.ceil(loads / kitchen.burners);
	return [
		{
			label: "Loads",
			working: `${plan.pieces} pieces ÷ ${perLoad} a load (${kitchen.searPan.name}, gap ${reading.length(gap_mm)}), up to a whole one`,
			result: String(loads),
		},
		{
			label: "On the wall clock",
			working: `${loads} loads on ${counted(kitchen.burners, "burner")} = ${counted(rounds, "round")} × (${sides} sides × ${minutesPerSide} min + ${recovery_min} min to heat again)`,
			result: durationWords(minutes),
		},
		{
			label: "Fat",
			working: `${loads} loads × a film of ${reading.length(FILM_MM)} over the pan`,
			result: reading.mass(fat_g / 1000),
		},
		workSum("sear", given),
	];
}

function colourSums({ plan, reading }: SumsFor): Sum[] {
	const oven = plan.colour?.oven;
	if (!oven) return [];
	return [
		{
			label: "Trays",
			working: `${plan.pieces} pieces ÷ ${oven.perTray} a tray (${oven.tray.name}, gap ${reading.length(SEAR_GAP_MM)}), up to a whole one`,
			result: String(oven.trays),
		},
		{
			label: "On the wall clock",
			working: `${oven.trays} trays, ${oven.atOnce} at once in the ${oven.oven.name} = ${counted(oven.rounds, "filling")} × ${COLOUR_MIN} min + ${COLOUR_RECOVERY_MIN} min between fillings`,
			result: durationWords(oven.minutes),
		},
		{
			label: "One cook's time",
			working: `${oven.trays} trays × ${TRAY_HANDS_MIN} min to lay, oil, turn and lift`,
			result: durationWords(oven.hands_min),
		},
		{
			label: "Fat",
			working: `${oven.trays} trays × a film of ${TRAY_FILM_MM} mm`,
			result: reading.mass(oven.fat_g / 1000),
		},
	];
}

function workSum(place: PlaceKey, { plan, sitting }: SumsFor): Sum {
	const work = plan.work[place];
	return {
		label: "Work",
		working: `${durationWords(work.handsOn_min)} for one cook ÷ ${counted(sitting.hands, "cook")} + ${work.waiting_min} min waiting`,
		result: durationWords(work.wall_min),
	};
}

function panSums({ plan, recipe, kitchen, reading }: SumsFor): Sum[] {
	const [full] = plan.pans.pans;
	if (!full) return [];
	const kinds = new Map<string, ChosenPan>();
	for (const pan of plan.pans.pans) if (!kinds.has(pan.type.id)) kinds.set(pan.type.id, pan);
	return [
		{
			label: "Pieces",
			working: isByPiece(recipe.portion)
				? `${plan.chain.portions} portions × ${recipe.portion.piecesPerPortion}`
				: `${reading.mass(plan.chain.trimmed_kg)} trimmed ÷ ${reading.mass(recipe.piece.weight_g / 1000)} a piece, up to a whole one`,
			result: String(plan.pieces),
		},
		...[...kinds.values()].flatMap((pan) => onePanSums(pan, recipe, kitchen, reading)),
	];
}

function onePanSums(pan: ChosenPan, recipe: Recipe, kitchen: Kitchen, reading: Reading): Sum[] {
	const name = pan.type.name;
	return [
		{
			label: `${name}, pieces`,
			working: `holds ${pan.capacity} in one layer with ${reading.length(recipe.gap_mm)} between; spread evenly`,
			result: String(pan.pieces),
		},
		{
			label: `${name}, line`,
			working: `${reading.length(pan.bed_mm)} of vegetables (${percent(BED_FILL)} solid) + ${lineWords(recipe.braise.line)}`,
			result: reading.length(pan.line_mm),
		},
		{
			label: `${name}, liquid`,
			working: "inside volume up to the line − meat and vegetables below it",
			result: reading.volume(pan.liquid_l),
		},
		{
			label: `${name}, dip`,
			working: `rim − line; at least ${reading.length(kitchen.headspace_mm)} of headspace is kept`,
			result: reading.length(pan.dip_mm),
		},
		{
			label: `${name}, to carry`,
			working: `${reading.mass(pan.contents_kg)} of food + ${reading.mass(pan.lifted_kg - pan.contents_kg)} of pan; the limit for one is ${reading.mass(kitchen.liftLimit_kg)}`,
			result: reading.mass(pan.lifted_kg),
		},
	];
}

function braiseSums({ plan, recipe, reading, kitchen }: SumsFor): Sum[] {
	const { low, likely, high } = plan.braise_min;
	return [
		{
			label: "Oven to fork-tender",
			working: `${cutWords(recipe.cut)}, ${bodyWords(plan, reading)}: nine times in ten not before ${durationWords(low)}, nine in ten by ${durationWords(high)}`,
			result: durationWords(likely),
		},
		...sensitivitySums(plan),
		{
			label: "In",
			working: `${reading.clock(plan.clock.rest)} to lift − ${durationWords(plan.allowed_min)}, tender within it on ${Math.round(kitchen.confidence * 100)} days in 100 (house), back to the five minutes`,
			result: reading.clock(plan.clock.in),
		},
		{
			label: "Tender",
			working: `${reading.clock(plan.clock.in)} + ${durationWords(low)} to ${durationWords(high)}`,
			result: `${reading.clock(plan.clock.tender.low)}–${reading.clockAfter(plan.clock.tender.high, plan.clock.tender.low)}`,
		},
	];
}

const BODIES = {
	slab: "heated like a slab",
	cylinder: "heated like a bar",
	ball: "heated like a ball",
} as const;

/** "heated like a bar 48 mm thick, from 15 °C in boiling liquid" */
function bodyWords({ braise }: Plan, reading: Reading): string {
	if (!braise) return "by its cut alone, since there is no pan";
	const { sides, start } = braise.given;
	return `${BODIES[formOf(sides)]} ${reading.length(thicknessOf(sides))} thick, from ${reading.temperature(start.meat_C)} in boiling liquid`;
}

const UNSURE = {
	thickness: `pieces ${percent(THICKNESS_SPREAD)} thinner or thicker`,
	oven: "the oven hotter or colder than it says",
	cut: `an animal ${percent(CUT_SPREAD)} more tender or tougher`,
	pan: "a pan that takes the heat better or worse",
	lid: "a lid that sits better or worse",
} as const;

/** What the range is made of, the most telling first. */
function sensitivitySums({ braise }: Plan): Sum[] {
	return (braise?.braised.sensitivities ?? []).map(({ what, low_min, high_min }, index) => ({
		label: index === 0 ? "What changes it most" : "Then",
		working: UNSURE[what],
		result: `${durationWords(low_min)} to ${durationWords(high_min)}`,
	}));
}

function clockSums({ plan, recipe, reading }: SumsFor): Sum[] {
	const need = Math.max(recipe.rest_min, plan.work.sauce.wall_min);
	return [
		{
			label: "Lift",
			working: `${reading.clock(plan.clock.serve)} service − ${durationWords(plan.work.plate.wall_min)} plating − ${durationWords(need)} for rest and sauce, whichever is longer`,
			result: reading.clock(plan.clock.rest),
		},
	];
}
