import { CuttingPaper } from "../papers/CuttingPaper.tsx";
import { PrintPage } from "../ui/parts/Paper.tsx";
import { heavily } from "../ui/server/heavily.ts";
import type { Route } from "./+types/cutting.route";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Cutting note · ${loaderData.dish}` : "Cutting note" },
];

export function loader({ context, params, request }: Route.LoaderArgs) {
	return heavily(context, "cutting", { ...params, search: new URL(request.url).search }, request);
}

export default function CuttingNote({ loaderData: view }: Route.ComponentProps) {
	return (
		<PrintPage
			paper={view.paper}
			back={{ to: view.to, words: "Back to the long table" }}
			here={`${view.to}/cutting`}
		>
			<CuttingPaper view={view} />
		</PrintPage>
	);
}
