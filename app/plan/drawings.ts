import { depthOf, rimOf } from "#core/pans";
import type { PlaceKey } from "#core/recipe";
import type { OvenDrawing } from "../ui/drawings.ts";
import { percent } from "../ui/reading.ts";
import { type AccountView, accountView } from "./account.view.ts";
import type { SumsFor } from "./arithmetic.ts";
import { type ColourView, colourView } from "./colour.view.ts";
import { type PanUpView, panUpView } from "./panUp.view.ts";
import { type PotView, potView } from "./pot.view.ts";

/** What is drawn for a place, in millimetres and shares of time. */
export interface PlaceDrawings {
	readonly panUp?: PanUpView;
	readonly colour?: ColourView;
	readonly account?: AccountView;
	readonly braise?: BraiseView;
	readonly pot?: PotView;
}

/** The clock of the oven, as shares of the time from in to service. */
export interface BraiseView {
	readonly marks: readonly { readonly at: number; readonly words: string; readonly clock: string }[];
	readonly window: {
		readonly from: number;
		readonly likely: number;
		readonly to: number;
		readonly words: string;
	};
	readonly ovens: readonly OvenDrawing[];
}

export function drawingsOf(key: PlaceKey, given: SumsFor): PlaceDrawings {
	switch (key) {
		case "sear":
			return optional("colour", colourView(given));
		case "build":
			return optional("account", accountView(given));
		case "panUp":
			return given.plan.pans.pans.length > 0 ? { panUp: panUpView(given) } : {};
		case "braise":
			return { braise: braiseView(given) };
		case "sauce":
			return optional("pot", potView(given));
		default:
			return {};
	}
}

function optional<K extends keyof PlaceDrawings>(key: K, view: PlaceDrawings[K]): PlaceDrawings {
	return view === undefined ? {} : { [key]: view };
}

function braiseView({ plan, recipe, reading }: SumsFor): BraiseView {
	const { clock } = plan;
	const whole = clock.serve - clock.in;
	const share = (at: number) => (at - clock.in) / whole;
	const mark = (at: number, words: string) => ({ at: share(at), words, clock: reading.clock(at) });
	return {
		marks: [mark(clock.in, "in"), mark(clock.rest, "lift"), mark(clock.serve, "serve")],
		window: {
			from: share(clock.tender.low),
			likely: share(clock.tender.likely),
			to: share(clock.tender.high),
			words: `In ${reading.clock(clock.in)}. Tender ${reading.clock(clock.tender.low)} to ${reading.clock(clock.tender.high)}, likely ${reading.clock(clock.tender.likely)}. Lift ${reading.clock(clock.rest)}. Serve ${reading.clock(clock.serve)}.`,
		},
		ovens: plan.ovens.loads.map((load) => ({
			name: load.oven.name,
			rungs: load.oven.rungs,
			pitch_mm: load.oven.pitch_mm,
			wide: load.oven.shelf,
			set: reading.temperature(load.set_C),
			set_C: load.set_C,
			pans: load.pans.map(({ type, count }) => ({
				name: type.name,
				count,
				depth_mm: depthOf(type.shape),
				length_mm: rimOf(type.shape).length_mm,
				width_mm: rimOf(type.shape).width_mm,
			})),
			words: `${load.oven.name} at ${reading.temperature(load.set_C)}: ${load.pans.map(({ type, count }) => `${count} × ${type.name}`).join(", ")}; ${load.rungsTaken} of ${load.oven.rungs} rungs taken. ${percent(load.rungsTaken / load.oven.rungs)} full. ${recipe.name}.`,
		})),
	};
}
