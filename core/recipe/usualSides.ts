import { type Draft, type DraftStep, emptyDraft, emptyLine, emptyStep } from "./Draft.ts";

/** A usual side or garnish, as a cook would write its card: for ten portions, to be corrected. */
interface UsualSide {
	readonly name: string;
	readonly summary: string;
	readonly category: string;
	readonly makes: string;
	/** How long it holds when it is done, covered and hot. */
	readonly holds: string;
	readonly lines: readonly string[];
	readonly steps: readonly (Pick<DraftStep, "text" | "handsOn" | "waiting" | "check" | "caution"> &
		Required<Pick<DraftStep, "heat" | "when">>)[];
}

const step = (
	text: string,
	handsOn: string,
	waiting = "0",
	{
		check = "",
		caution = "",
		...where
	}: { check?: string; caution?: string; heat?: "burner" | "oven"; when?: "dayBefore" | "last" } = {},
): UsualSide["steps"][number] => ({
	text,
	handsOn,
	waiting,
	check,
	caution,
	heat: where.heat ?? "",
	when: where.when ?? "",
});

/** By short name, in the order in which they are offered. General practice. */
export const USUAL_SIDES: Readonly<Record<string, UsualSide>> = {
	mash: {
		name: "Mashed potatoes",
		summary: "Floury potatoes, dried on the heat, with butter and hot milk.",
		category: "vegetable",
		makes: "2 kg",
		holds: "45 min",
		lines: [
			"1.8 kg potatoes, peeled, chunks of 40 mm",
			"150 g butter",
			"250 ml whole milk, hot",
			"18 g salt",
		],
		steps: [
			step("Peel and cut the potatoes; into cold salted water.", "18"),
			step("Bring up and simmer until a knife slides in.", "2", "30", {
				check: "No core, not falling.",
				heat: "burner",
			}),
			step("Drain, dry on the heat, press, beat in butter and then the hot milk.", "10", "2", {
				caution: "Steam when it is drained: away from the face.",
				heat: "burner",
				when: "last",
			}),
		],
	},
	polenta: {
		name: "Soft polenta",
		summary: "One part to five of liquid, stirred slowly, finished with butter and hard cheese.",
		category: "grain",
		makes: "2.2 kg",
		holds: "30 min",
		lines: [
			"350 g polenta",
			"1.2 l water",
			"600 ml whole milk",
			"60 g butter",
			"80 g aged hard cheese",
			"14 g salt",
		],
		steps: [
			step("Boil the water and milk with the salt; rain the polenta in, whisking.", "6", "6", {
				caution: "It spits as it thickens: a long whisk, the heat down.",
				heat: "burner",
			}),
			step("Simmer, stirring from the floor every few minutes.", "8", "32", {
				check: "No grain between the teeth.",
				heat: "burner",
			}),
			step("Beat in butter and cheese; loosen with milk to serve.", "3", "0", {
				heat: "burner",
				when: "last",
			}),
		],
	},
	noodles: {
		name: "Buttered noodles",
		summary: "Boiled in plenty of water at the last, turned in butter.",
		category: "grain",
		makes: "1.8 kg",
		holds: "15 min",
		lines: ["800 g egg noodles", "8 l water", "80 g salt, in the water", "80 g butter"],
		steps: [
			step("Bring the salted water to a rolling boil.", "2", "20", { heat: "burner" }),
			step("Boil the noodles, drain, turn in butter.", "5", "8", {
				check: "A bite left: they go on in the butter.",
				caution: "A full pot of boiling water is drained by two, or with a skimmer.",
				heat: "burner",
				when: "last",
			}),
		],
	},
	rice: {
		name: "Boiled rice",
		summary: "One part to one and a half of water, covered, off the heat to steam.",
		category: "grain",
		makes: "1.8 kg",
		holds: "40 min",
		lines: ["750 g long rice, washed", "1.1 l water", "10 g salt", "30 g butter"],
		steps: [
			step("Wash the rice until the water is clear; drain.", "5"),
			step("Boil up with water and salt, cover, lowest heat.", "3", "12", { heat: "burner" }),
			step("Off the heat, covered; then fork the butter through.", "2", "10", {
				caution: "What is left is cooled within the hour, or thrown away.",
				when: "last",
			}),
		],
	},
	barley: {
		name: "Barley in stock",
		summary: "One part to three of stock, sweated first, like a risotto that waits.",
		category: "grain",
		makes: "2 kg",
		holds: "60 min",
		lines: [
			"650 g pearl barley",
			"200 g onions, dice of 5 mm",
			"1.9 l light chicken stock, hot",
			"60 g butter",
			"10 g salt",
		],
		steps: [
			step("Sweat the onions in half the butter, toast the barley.", "10", "0", { heat: "burner" }),
			step("Pour the hot stock and simmer, covered, stirring now and then.", "5", "38", {
				check: "Soft, with a bite in the middle.",
				heat: "burner",
			}),
			step("Stir the rest of the butter in.", "2", "0", { when: "last" }),
		],
	},
	crackedWheat: {
		name: "Herbed cracked wheat",
		summary: "Scalded and left to swell, forked with oil and herbs.",
		category: "grain",
		makes: "1.9 kg",
		holds: "60 min",
		lines: [
			"700 g cracked wheat",
			"1.1 l water, boiling",
			"50 ml olive oil",
			"12 g salt",
			"30 g parsley, chopped",
		],
		steps: [
			step("Pour the boiling water over the wheat and salt, cover.", "4", "25"),
			step("Fork it loose with the oil; parsley at the last.", "6", "0", { when: "last" }),
		],
	},
	dumplings: {
		name: "Bread dumplings",
		summary: "Crumbs, egg and milk, poached just below the boil.",
		category: "grain",
		makes: "1.6 kg",
		holds: "20 min",
		lines: [
			"700 g dry breadcrumbs",
			"500 ml whole milk, warm",
			"4 eggs",
			"120 g onions, dice of 3 mm",
			"80 g butter",
			"30 g parsley, chopped",
			"14 g salt",
		],
		steps: [
			step("Sweat the onions in butter; mix all and let it stand.", "14", "20", { heat: "burner" }),
			step("Roll dumplings of 80 g.", "18", "0", { check: "Poach one first: it must hold." }),
			step("Poach just below the boil, a few layers apart.", "4", "18", {
				caution: "Lift with a skimmer; they scald.",
				heat: "burner",
				when: "last",
			}),
		],
	},
	braisedRoots: {
		name: "Braised roots",
		summary: "Carrots and parsnips in butter and a little stock, glazed as it boils away.",
		category: "vegetable",
		makes: "1.7 kg",
		holds: "45 min",
		lines: [
			"1.1 kg carrots, chunks of 30 mm",
			"800 g parsnips, chunks of 30 mm",
			"80 g butter",
			"300 ml light chicken stock",
			"20 g sugar",
			"12 g salt",
		],
		steps: [
			step("Peel and cut the roots.", "20"),
			step("Cover with paper and simmer in butter, stock, sugar and salt.", "4", "25", { heat: "burner" }),
			step("Uncover and roll in the glaze.", "6", "4", {
				check: "Shining, no liquid left.",
				heat: "burner",
				when: "last",
			}),
		],
	},
	greens: {
		name: "Buttered greens",
		summary: "Blanched, refreshed, and turned in butter at the last.",
		category: "vegetable",
		makes: "1.4 kg",
		holds: "10 min",
		lines: ["1.8 kg kale, stalks out", "70 g butter", "10 g salt", "6 l water"],
		steps: [
			step("Strip and wash the leaves.", "20"),
			step("Blanch in boiling salted water, refresh in iced water, press dry.", "8", "6", { heat: "burner" }),
			step("Turn in foaming butter.", "6", "0", {
				check: "Hot through and still green.",
				heat: "burner",
				when: "last",
			}),
		],
	},
	mushrooms: {
		name: "Fried mushrooms",
		summary: "In loads, dry and hot, salted at the end.",
		category: "vegetable",
		makes: "900 g",
		holds: "20 min",
		lines: [
			"1.6 kg brown mushrooms, quartered",
			"80 ml rapeseed oil",
			"60 g butter",
			"12 g salt",
			"10 g thyme",
		],
		steps: [
			step("Clean and quarter the mushrooms.", "16"),
			step("Fry in loads in hot oil until they take colour; butter, thyme and salt to finish.", "16", "0", {
				check: "Brown, no liquid in the pan.",
				caution: "Wet mushrooms spit.",
				heat: "burner",
				when: "last",
			}),
		],
	},
	crispedPork: {
		name: "Crisped pork",
		summary: "Strips started cold in their own fat, crisp for the plate.",
		category: "meat",
		makes: "350 g",
		holds: "60 min",
		lines: ["600 g pork belly, slices of 5 mm"],
		steps: [
			step("Cut strips across the slices.", "8"),
			step("Start in a cold pan, render and crisp, drain on paper.", "6", "12", {
				caution: "Hot fat: pour it off before it reaches the rim, and keep it for the next sear.",
				heat: "burner",
			}),
		],
	},
	glazedOnions: {
		name: "Glazed onions",
		summary: "Pearl onions in butter, sugar and stock under paper, browned at the end.",
		category: "vegetable",
		makes: "900 g",
		holds: "60 min",
		lines: [
			"1 kg pearl onions, peeled",
			"60 g butter",
			"25 g sugar",
			"250 ml light chicken stock",
			"8 g salt",
		],
		steps: [
			step("Scald and peel the onions.", "25", "3", { heat: "burner" }),
			step("Simmer under paper in butter, sugar and stock.", "3", "18", { heat: "burner" }),
			step("Uncover and brown in the glaze.", "5", "3", {
				check: "Whole, brown and shining.",
				heat: "burner",
				when: "last",
			}),
		],
	},
};

/** A usual side as a draft of a preparation; undefined for a name that is none. */
export function sideDraft(key: string): Draft | undefined {
	const side = Object.hasOwn(USUAL_SIDES, key) ? USUAL_SIDES[key] : undefined;
	if (!side) return undefined;
	const { name, summary, category, makes, holds, lines, steps } = side;
	const draft = emptyDraft("preparation");
	return {
		...draft,
		fields: { ...draft.fields, name, summary, category, makes, holds, tags: "side" },
		lines: lines.map((text, index) => ({ ...emptyLine(`l${index + 1}`), text })),
		steps: steps.map((each, index) => ({
			...emptyStep(`s${index + 1}`, "plate"),
			...each,
			station: "Stove",
		})),
	};
}
