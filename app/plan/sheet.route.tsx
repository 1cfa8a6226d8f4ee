import { PrintPage } from "../ui/parts/Paper.tsx";
import type { Route } from "./+types/sheet.route";
import { dishOnPaper } from "./dishOnPaper.server.ts";
import { SheetPaper } from "./SheetPaper.tsx";
import { sheetView } from "./sheet.view.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Production sheet · ${loaderData.dish}` : "Production sheet" },
];

export async function loader({ context, params }: Route.LoaderArgs) {
	return sheetView(await dishOnPaper(context, params));
}

export default function ProductionSheet({ loaderData }: Route.ComponentProps) {
	const { paper, to } = loaderData;
	return (
		<PrintPage paper={paper} back={{ to, words: "Back to the long table" }} here={`${to}/sheet`}>
			<SheetPaper view={loaderData} />
		</PrintPage>
	);
}
