import { data } from "react-router";
import { PrintPage } from "../ui/parts/Paper.tsx";
import { ActLink } from "../ui/parts/parts.tsx";
import { heavily } from "../ui/server/heavily.ts";
import type { Route } from "./+types/dayPaper.route";
import { DayPaper } from "./DayPaper.tsx";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Day sheet · ${loaderData.title}` : "Day sheet" },
];

export async function loader({ context, params: { date }, request }: Route.LoaderArgs) {
	const view = await heavily(context, "dayPaper", { date, search: new URL(request.url).search }, request);
	if (!view) throw data({ missing: "day" }, { status: 404 });
	return view;
}

export default function DaySheetPage({ loaderData: view }: Route.ComponentProps) {
	const back = `/day/${view.date}`;
	return (
		<PrintPage
			paper={view.paper}
			back={{ to: back, words: "Back to the day" }}
			here={`${back}/paper`}
			also={<ActLink to={`${back}/papers`}>With all papers of its dishes</ActLink>}
		>
			<DayPaper view={view} />
		</PrintPage>
	);
}
