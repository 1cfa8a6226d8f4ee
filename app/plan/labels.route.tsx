import { LabelsPaper } from "../papers/LabelsPaper.tsx";
import { PrintPage } from "../ui/parts/Paper.tsx";
import { heavily } from "../ui/server/heavily.ts";
import type { Route } from "./+types/labels.route";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Pan labels · ${loaderData.dish}` : "Pan labels" },
];

export function loader({ context, params, request }: Route.LoaderArgs) {
	return heavily(context, "labels", { ...params, search: new URL(request.url).search }, request);
}

export default function PanLabels({ loaderData: view }: Route.ComponentProps) {
	return (
		<PrintPage
			paper={view.paper}
			back={{ to: view.to, words: "Back to the long table" }}
			here={`${view.to}/labels`}
		>
			<LabelsPaper view={view} />
		</PrintPage>
	);
}
