import { OrderPaper } from "../papers/OrderPaper.tsx";
import { PrintPage } from "../ui/parts/Paper.tsx";
import { ActLink } from "../ui/parts/parts.tsx";
import { heavily } from "../ui/server/heavily.ts";
import type { Route } from "./+types/order.route";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Order sheet · ${loaderData.name}` : "Order sheet" },
];

export function loader({ context, params, request }: Route.LoaderArgs) {
	return heavily(context, "order", { id: params.sittingId }, request);
}

export default function OrderSheet({ loaderData: view }: Route.ComponentProps) {
	const here = `/sittings/${view.id}/order`;
	return (
		<PrintPage
			paper={view.paper}
			back={{ to: `/sittings/${view.id}`, words: "Back to the sitting" }}
			here={here}
			also={
				<ActLink to={`${here}.xlsx`} reloadDocument>
					As a spreadsheet
				</ActLink>
			}
		>
			<OrderPaper view={view} />
		</PrintPage>
	);
}
