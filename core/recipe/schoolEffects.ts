import type { Draft, DraftStep } from "./Draft.ts";
import type { SchoolAnswer, SchoolQuestion } from "./schools.ts";

/** What an answer puts into a draft. */
export interface Effect {
	readonly lines?: readonly NewLine[];
	readonly steps?: readonly NewStep[];
	/** Salt as a share of the main's trimmed weight. */
	readonly salt?: number;
	readonly fields?: Readonly<Record<string, string>>;
	/** Whether the vegetables are cooked outside the pan. */
	readonly apart?: boolean;
}

type NewLine = Pick<Draft["lines"][number], "text" | "group" | "role">;
type NewStep = Partial<DraftStep> & Pick<DraftStep, "place" | "text" | "station">;

/** Share of the meat's weight that dredging takes up, 2 to 3 %. @see model, section G */
const DREDGED = 0.025;
/** Toasted flour on the vegetables as a share of the meat: as much body as dredging. */
const DUSTED = 0.02;

/** Flour for the pieces, to what a cook weighs. */
const share = (main_g: number, part: number) => `${Math.max(5, Math.round((main_g * part) / 5) * 5)} g`;

/** What each answer of each question puts into a draft, given the grams of the main. */
export const EFFECTS: { [Q in SchoolQuestion]: Record<SchoolAnswer<Q>, (main_g: number) => Effect> } = {
	flour: {
		reduction: () => ({
			steps: [
				{
					place: "sauce",
					station: "Stove",
					text: "Reduce the strained liquid until it coats a spoon. Salt only then.",
					waiting: "20",
					check: "On the spoon a line drawn through it stays open.",
				},
			],
		}),
		dredge: (main_g) => ({
			lines: [
				{ text: `${share(main_g, DREDGED)} wheat flour, for dredging`, group: "base", role: "vegetable" },
			],
			steps: [
				{
					place: "sear",
					station: "Stove",
					text: "Dredge the dry pieces in flour just before they go into the pan; shake off what does not stick.",
					handsOn: "3",
					caution: "Brings gluten. Loose flour burns: change the fat sooner.",
				},
			],
		}),
		onVegetables: (main_g) => ({
			lines: [{ text: `${share(main_g, DUSTED)} wheat flour, toasted`, group: "base", role: "vegetable" }],
			steps: [
				{
					place: "build",
					station: "Stove",
					text: "Dust the sweated vegetables with flour and toast it until it smells of nuts.",
					handsOn: "3",
					caution: "Brings gluten.",
				},
			],
		}),
		roux: () => ({
			lines: [
				{ text: "55 g wheat flour, for each litre of sauce", group: "finish", role: "thickener" },
				{ text: "55 g butter, for each litre of sauce", group: "finish", role: "thickener" },
			],
			steps: [
				{
					place: "sauce",
					station: "Stove",
					text: "Cook flour and butter to a pale roux, whisk in the strained liquid and simmer the flour out.",
					handsOn: "5",
					waiting: "15",
					caution: "Brings gluten and milk.",
					check: "No taste of raw flour.",
				},
			],
		}),
		starch: () => ({
			lines: [{ text: "20 g maize starch, for each litre of sauce", group: "finish", role: "thickener" }],
			steps: [
				{
					place: "sauce",
					station: "Stove",
					text: "Slake the starch in twice its weight of cold water and add it in thirds at the boil.",
					handsOn: "3",
					check: "Stop when it coats; it thickens a little more as it stands.",
				},
			],
		}),
		kneadedButter: () => ({
			lines: [
				{ text: "35 g wheat flour, kneaded, for each litre of sauce", group: "finish", role: "thickener" },
				{ text: "35 g butter, kneaded, for each litre of sauce", group: "finish", role: "thickener" },
			],
			steps: [
				{
					place: "sauce",
					station: "Stove",
					text: "Knead flour and butter together and whisk it in by the piece at a bare simmer.",
					handsOn: "4",
					waiting: "5",
					caution: "Brings gluten and milk.",
				},
			],
		}),
		puree: () => ({
			steps: [
				{
					place: "sauce",
					station: "Stove",
					text: "Blend the vegetables of the pan with some of the liquid and stir back until it coats.",
					handsOn: "6",
					tools: "blender",
					caution: "Hot liquid in a blender: half full at the most, lid vented and held with a cloth.",
				},
			],
		}),
	},
	salt: {
		early: () => ({
			salt: 0.012,
			steps: [
				{
					place: "trim",
					station: "Larder",
					text: "Salt the pieces in full as soon as they are cut.",
					handsOn: "2",
				},
			],
		}),
		moderate: () => ({
			salt: 0.009,
			steps: [
				{
					place: "sauce",
					station: "Stove",
					text: "Taste for salt when the sauce has reached its body, and not before.",
					grows: "fixed",
				},
			],
		}),
		afterMarinade: () => ({
			salt: 0.009,
			steps: [
				{
					place: "sear",
					station: "Stove",
					text: "Salt the drained, dried pieces as they go into the pan.",
					grows: "fixed",
				},
			],
		}),
	},
	marinade: {
		none: () => ({ fields: { marinated: "", marinateFor: "", marinateMost: "", container: "" } }),
		hours: () => marinated("3 h", "12 h"),
		overnight: () => marinated("14 h", "36 h"),
		twoDays: () => marinated("36 h", "48 h"),
	},
	colour: {
		pan: () => ({ fields: { seared: "yes" } }),
		oven: () => ({ fields: { seared: "" }, steps: [COLOUR_IN_OVEN] }),
		both: () => ({ fields: { seared: "yes" }, steps: [COLOUR_IN_OVEN] }),
	},
	vegetables: {
		strained: () => ({
			apart: false,
			steps: [
				vegetableStep("Strain, let the vegetables drain without pressing, and leave them behind.", "3"),
			],
		}),
		pressed: () => ({
			apart: false,
			steps: [vegetableStep("Strain; press the vegetables hard and leave them behind.", "4")],
		}),
		kept: () => ({ apart: false, steps: [vegetableStep("Keep the vegetables whole in the sauce.", "1")] }),
		pureed: () => ({
			apart: false,
			steps: [vegetableStep("Blend the vegetables back into the sauce.", "6")],
		}),
		apart: () => ({
			apart: true,
			steps: [
				{
					place: "plate",
					station: "Pass",
					text: "Cook the vegetables apart to keep their bite and add them at the pass.",
					handsOn: "5",
				},
			],
		}),
	},
	service: {
		sameDay: () => ({}),
		madeAhead: () => ({
			steps: [
				{
					place: "chill",
					station: "Larder",
					text: "Cool the pieces in their own liquid, shallow, in ice or the blast chiller, and log the temperatures.",
					handsOn: "5",
					waiting: "90",
					caution: "Large hot pans cool too slowly. Keep to the house code; local rules decide.",
				},
				{
					place: "reheat",
					station: "Stove",
					text: "Lift off the set fat. Reheat gently, covered, in a little of the liquid, to the core temperature of the house code.",
					handsOn: "4",
					waiting: "40",
					check: "Core temperature by probe, written down.",
				},
			],
		}),
	},
};

const COLOUR_IN_OVEN: NewStep = {
	place: "sear",
	station: "Oven",
	text: "Lay the pieces apart on oiled trays and colour them in a hot oven, turned once.",
	handsOn: "4",
	waiting: "50",
	temperature: "200 °C",
	caution: "Hot fat runs on the tray: lift it level, with dry cloths.",
	check: "Brown on every face, no grey.",
};

function marinated(marinateFor: string, marinateMost: string): Effect {
	return {
		fields: { marinated: "yes", marinateFor, marinateMost, container: "Shallow containers in the cold room" },
		steps: [
			{
				place: "marinate",
				station: "Larder",
				text: "Lay the pieces in the cold marinade, turned once. Drain and dry them well; keep the marinade as the liquid.",
				handsOn: "3",
				check: "Dry on the surface, or it will not brown.",
			},
		],
	};
}

function vegetableStep(text: string, handsOn: string): NewStep {
	return { place: "sauce", station: "Stove", text, handsOn };
}
