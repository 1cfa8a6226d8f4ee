import { isMadeAhead } from "#core/dish";
import { layersOf } from "#core/recipe";
import type { PanDrawing } from "../../ui/drawings/drawings.ts";
import { panDrawing } from "../../ui/drawings/panDrawing.ts";
import { counted } from "../../ui/words/reading.ts";
import type { PlaceGiven } from "../Place.ts";

/** What it rests on, or in, from above. */
export interface TrayView {
	readonly pan: PanDrawing;
	/** Whether it lies in its liquid. */
	readonly filled: boolean;
	readonly says: string;
}

/** The first tray with its pieces, or the pan in which they cool in their liquid; nothing where there is neither. */
export function trayView({ plan, kitchen, reading }: PlaceGiven): TrayView | undefined {
	const { recipe, pieces } = plan;
	const laid = { piece: recipe.piece, gap_mm: recipe.gap_mm };
	const [tray] = kitchen.equipment.trays;
	const [full] = plan.pans.pans;
	if (isMadeAhead(recipe) || layersOf(recipe) === "poured" || !tray) {
		if (!full) return undefined;
		const pan = panDrawing(full.type.shape, reading, laid);
		const placed = pan.placed.slice(0, full.pieces);
		return {
			pan: { ...pan, placed, words: `${full.type.name} from above, in its liquid.` },
			filled: true,
			says: `In its liquid, ${counted(plan.pans.pans.length, "pan")}.`,
		};
	}
	const pan = panDrawing(tray.shape, reading, laid);
	const each = Math.min(pieces, pan.placed.length);
	if (each === 0) return undefined;
	const trays = Math.ceil(pieces / each);
	return {
		pan: {
			...pan,
			placed: pan.placed.slice(0, each),
			words: `${tray.name} from above with ${counted(each, "piece")}.`,
		},
		filled: false,
		says: `${counted(trays, "tray")} ${tray.name}, ${each} to a tray in one layer, covered with foil.`,
	};
}
