import { SheetPaper } from "../papers/SheetPaper.tsx";
import { PrintPage } from "../ui/parts/Paper.tsx";
import { heavily } from "../ui/server/heavily.ts";
import type { Route } from "./+types/sheet.route";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Production sheet · ${loaderData.dish}` : "Production sheet" },
];

export function loader({ context, params, request }: Route.LoaderArgs) {
	return heavily(context, "sheet", { ...params, search: new URL(request.url).search }, request);
}

export default function ProductionSheet({ loaderData }: Route.ComponentProps) {
	const { paper, to } = loaderData;
	return (
		<PrintPage
			paper={paper}
			back={{ to, words: "Back to the long table" }}
			here={`${to}/sheet`}
			runningHead={loaderData.runningHead}
		>
			<SheetPaper view={loaderData} />
		</PrintPage>
	);
}
