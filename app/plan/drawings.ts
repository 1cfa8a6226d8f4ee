import type { PlaceKey } from "#core/trade";
import { type AccountView, accountView } from "./account.view.ts";
import type { SumsFor } from "./arithmetic.ts";
import { type BraiseView, braiseView } from "./braise.view.ts";
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
