import { data } from "react-router";
import { readKitchen, readSitting } from "#db";
import { PrintPage } from "../ui/Paper.tsx";
import { plannedDishes } from "../ui/planned.server.ts";
import { foundOr404, visitOf } from "../ui/visit.ts";
import type { Route } from "./+types/sheet.route";
import { SheetPaper } from "./SheetPaper.tsx";
import { sheetView } from "./sheet.view.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Production sheet · ${loaderData.dish}` : "Production sheet" },
];

export async function loader({ context, params }: Route.LoaderArgs) {
	const { store, reading, house, preferences } = await visitOf(context);
	const sitting = await foundOr404(readSitting(store.db, params.sittingId), "sitting");
	const kitchen = await readKitchen(store.db);
	const row = (await plannedDishes(store.db, sitting, kitchen)).find(({ dish }) => dish.id === params.dishId);
	if (!row) throw data({ missing: "dish on this sitting" }, { status: 404 });
	return sheetView({
		house: house.name,
		paper: preferences.paper,
		sitting,
		row,
		kitchen,
		reading: reading.towards(sitting.serviceAt),
	});
}

export default function ProductionSheet({ loaderData }: Route.ComponentProps) {
	const { paper, to } = loaderData;
	return (
		<PrintPage paper={paper} back={{ to, words: "Back to the long table" }} here={`${to}/sheet`}>
			<SheetPaper view={loaderData} />
		</PrintPage>
	);
}
