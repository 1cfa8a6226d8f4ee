import { chakra } from "@chakra-ui/react/styled-system";
import { data, Link } from "react-router";
import { readKitchen, readSitting } from "#db";
import { ActLink, Page } from "../ui/parts.tsx";
import { plannedDishes } from "../ui/planned.ts";
import { foundOr404, visitOf } from "../ui/visit.ts";
import type { Route } from "./+types/sheet.route";
import { PrintButton } from "./PrintButton.tsx";
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
	const { paper } = loaderData;
	return (
		<Page _print={{ padding: 0, maxWidth: "none" }}>
			<style>{`@page { size: ${paper}; margin: 12mm; }`}</style>
			<chakra.div
				className="screenOnly"
				display="flex"
				flexWrap="wrap"
				gap="10px"
				marginBottom="14px"
				alignItems="center"
			>
				<PrintButton />
				<ActLink to={loaderData.to}>Back to the long table</ActLink>
				<span>
					On {paper}; change it{" "}
					<Link to={`/preferences?back=${encodeURIComponent(`${loaderData.to}/sheet`)}`}>at this desk</Link>.
				</span>
			</chakra.div>
			<SheetPaper view={loaderData} />
		</Page>
	);
}
