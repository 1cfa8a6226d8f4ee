import { lineWords } from "#core/pans";
import type { PlanSauce } from "#core/plan";
import { durationWords } from "#core/time";
import { LIDS, type PlaceKey } from "#core/trade";
import type { Fact } from "../ui/Facts.tsx";
import { marinade_l, setOf } from "../ui/places.ts";
import { counted, type Reading } from "../ui/reading.ts";
import type { SumsFor } from "./arithmetic.ts";
import { saltWords } from "./pot.view.ts";

/** The answer of a place in one line, with the figures beside it. */
export interface Headline {
	readonly title: string;
	readonly says: string;
	readonly facts: readonly Fact[];
}

export function headline(key: PlaceKey, given: SumsFor): Headline {
	const { plan, recipe, reading, sitting } = given;
	const { chain, clock } = plan;
	switch (key) {
		case "buy":
			return {
				title: buyTitle(given),
				says: `Order by ${reading.clock(clock.buy)}. ${chain.portions} portions, ${portionWords(given)}.`,
				facts: [
					{ figure: reading.mass(chain.asPurchased_kg), label: "needed as purchased" },
					{ figure: reading.mass(chain.trimmed_kg), label: "after trimming" },
					{ figure: reading.mass(chain.cooked_kg), label: "cooked" },
				],
			};
		case "trim":
			return {
				title: `${reading.mass(chain.trimmed_kg)} trimmed, ${plan.pieces} pieces`,
				says: `${reading.mass(recipe.piece.weight_g / 1000)} each, ${pieceWords(given)}. Start by ${reading.clock(clock.trim)}.`,
				facts: [
					{ figure: reading.mass(chain.asPurchased_kg - chain.trimmed_kg), label: "trim, to stock" },
					{ figure: durationWords(plan.work.trim.wall_min), label: `for ${counted(sitting.hands, "cook")}` },
				],
			};
		case "marinate":
			return {
				title: `${reading.volume(marinade_l(plan))}, from ${reading.clock(clock.marinate ?? clock.sear)}`,
				says: `Drain at ${reading.clock(clock.sear)}. ${recipe.marinate?.container ?? ""}.`,
				facts: [{ figure: durationWords(recipe.marinate?.longest_min ?? 0), label: "at the most" }],
			};
		case "sear":
			return searHeadline(given);
		case "build":
			return {
				title: `${reading.volume(plan.pans.liquid_l)} of liquid`,
				says: `What the pans need to reach the line. From ${reading.clock(clock.build)}.`,
				facts: [
					{ figure: durationWords(plan.work.build.wall_min), label: `for ${counted(sitting.hands, "cook")}` },
				],
			};
		case "panUp":
			return panUpHeadline(given);
		case "braise":
			return {
				title: `Into the oven ${reading.clock(clock.in)}`,
				says: `${reading.temperature(setOf(recipe, plan))}, ${LIDS[recipe.braise.lid]}. Tender ${tenderWords(given)}.`,
				facts: [
					{ figure: reading.clockAfter(clock.tender.low, clock.in), label: "check first at" },
					{
						figure: reading.clockAfter(clock.rest, clock.in),
						label: "lift; if not tender by then, sauce first",
					},
					{
						figure: `${reading.temperature(recipe.braise.oven_C.low)} to ${reading.temperature(recipe.braise.oven_C.high)}`,
						label: "suits the dish",
					},
				],
			};
		case "rest":
			return {
				title: `${durationWords(recipe.rest_min)} of rest`,
				says: `Lift at ${reading.clock(clock.rest)}, one piece at a time.`,
				facts: [{ figure: reading.clock(clock.tender.likely), label: "likely tender" }],
			};
		case "sauce":
			return sauceHeadline(given);
		case "plate":
			return {
				title: counted(chain.portions, "plate"),
				says: `Start plating at ${reading.clock(clock.plate)} for ${reading.clock(clock.serve)}.`,
				facts: [
					{ figure: portionWords(given), label: "on each" },
					{ figure: reading.volume(recipe.sauce_ml / 1000), label: "sauce on each" },
				],
			};
	}
}

function searHeadline({ plan, recipe, reading, kitchen }: SumsFor): Headline {
	const { colour, clock } = plan;
	const from = `From ${reading.clock(clock.sear)}.`;
	if (colour?.way === "oven" && colour.oven) {
		const { trays, perTray, tray, oven, minutes, hands_min } = colour.oven;
		return {
			title: `${counted(trays, "tray")} of ${perTray}`,
			says: `${tray.name} in the ${oven.name}. ${from}`,
			facts: [
				{ figure: durationWords(minutes), label: "on the wall clock" },
				{ figure: durationWords(hands_min), label: "one cook's time" },
			],
		};
	}
	if (!colour?.pan) return { title: "No searing pan", says: "Choose one under Kitchen.", facts: [] };
	const { loads, perLoad, minutes, fat_g } = colour.pan;
	return {
		title: `${counted(loads, "load")} of ${perLoad}`,
		says: `${kitchen.searPan?.name ?? ""}, ${counted(kitchen.burners, "burner")}. ${from}`,
		facts: [
			{ figure: durationWords(minutes), label: "on the wall clock" },
			{ figure: reading.mass(fat_g / 1000), label: "fat, a film for each load" },
			{ figure: `${recipe.sear?.sides} × ${recipe.sear?.minutesPerSide} min`, label: "sides" },
		],
	};
}

/** ", the rest of 10.2 l to the next stock" */
function keptWords({ there_l, take_l }: PlanSauce, reading: Reading): string {
	const kept_l = there_l - take_l;
	return kept_l > A_LADLE_L ? `; ${reading.volume(kept_l)} of it go to the next stock` : "";
}

/** Less than this is not worth keeping, litres. */
const A_LADLE_L = 0.2;

function sauceHeadline({ plan, recipe, reading }: SumsFor): Headline {
	const { sauce, clock } = plan;
	const wanted = reading.volume(plan.sauce_l);
	const plate = { figure: reading.volume(recipe.sauce_ml / 1000), label: "a plate" };
	if (!sauce)
		return { title: `${wanted} of sauce`, says: `From ${reading.clock(clock.sauce)}.`, facts: [plate] };
	const first = sauce.remedies[0];
	const reduces = first?.kind === "reduce";
	return {
		title: reduces ? `Reduce ${reading.volume(sauce.take_l)} to ${wanted}` : `${wanted} of sauce`,
		says: `From ${reading.clock(clock.sauce)}, out of ${reading.volume(sauce.there_l)} that will be left${keptWords(sauce, reading)}. Skim ${reading.mass(sauce.fat_kg)} of fat first.`,
		facts: [
			...(sauce.pot
				? [
						{
							figure: reading.length(sauce.mark_mm),
							label: `on the stick in ${sauce.pots > 1 ? `each of ${sauce.pots} ` : "the "}${sauce.pot.name}`,
						},
					]
				: []),
			...(reduces ? [{ figure: durationWords(first.minutes), label: "at a rolling boil" }] : []),
			...(plan.salt_pct === null ? [] : [{ figure: saltWords(plan.salt_pct), label: "salt at the end" }]),
			plate,
		],
	};
}

/** "Sat 17:10–18:15, likely 17:40" */
function tenderWords({ plan, reading }: SumsFor): string {
	const { in: into, tender } = plan.clock;
	const at = (instant: number) => reading.clockAfter(instant, into);
	return `${at(tender.low)}–${at(tender.high)}, likely ${at(tender.likely)}`;
}

function buyTitle({ plan, recipe, reading }: SumsFor): string {
	const { chain } = plan;
	if (plan.setBy === "meat")
		return `${reading.mass(chain.asPurchased_kg)} on hand makes ${chain.portions} portions`;
	if (chain.packs === undefined || recipe.pack_kg === undefined) return reading.mass(chain.asPurchased_kg);
	return `${reading.mass(chain.order_kg ?? 0)}, ${counted(chain.packs, "pack")} of ${reading.mass(recipe.pack_kg)}`;
}

function portionWords({ recipe, reading }: SumsFor): string {
	return "portion_g" in recipe.portion
		? `${reading.mass(recipe.portion.portion_g / 1000)} cooked`
		: counted(recipe.portion.piecesPerPortion, "piece");
}

function pieceWords({ recipe, reading }: SumsFor): string {
	const { piece } = recipe;
	const side = (mm: number) => reading.length(mm);
	if (piece.shape === "block")
		return `${side(piece.length_mm)} × ${side(piece.width_mm)} × ${side(piece.height_mm)}`;
	if (piece.shape === "ball") return `${side(piece.diameter_mm)} across`;
	return `${side(piece.length_mm)} long, ${side(piece.diameter_mm)} thick`;
}

function panUpHeadline({ plan, recipe, reading, kitchen }: SumsFor): Headline {
	const { pans } = plan.pans;
	const [full] = pans;
	if (!full) return { title: "No pan for it", says: "See the warning below.", facts: [] };
	const left = [...new Set(pans.map((pan) => pan.type))].map((type) => {
		const used = pans.filter((pan) => pan.type.id === type.id).length;
		return `${used} of ${type.stock} ${type.name}`;
	});
	return {
		title: `${counted(pans.length, "pan")}, ${alike(pans.map((pan) => pan.pieces))} pieces`,
		says: `${left.join(", ")}. Covered with ${LIDS[recipe.braise.lid]}; liquid ${lineWords(recipe.braise.line)}.`,
		facts: [
			{ figure: reading.volume(full.liquid_l), label: "to pour, fullest pan" },
			{ figure: reading.volume(plan.pans.liquid_l), label: "all pans" },
			{
				figure: reading.length(full.dip_mm),
				label: `dip; ${reading.length(kitchen.headspace_mm)} is the least`,
			},
			{ figure: reading.mass(full.lifted_kg), label: "to carry, with the pan" },
		],
	};
}

/** "2 × 19 + 3 × 18" */
function alike(pieces: readonly number[]): string {
	const kinds = [...new Set(pieces)];
	return kinds
		.map((kind) => {
			const times = pieces.filter((one) => one === kind).length;
			return times === 1 ? String(kind) : `${times} × ${kind}`;
		})
		.join(" + ");
}
