import { chakra } from "@chakra-ui/react/styled-system";
import type { ReactNode } from "react";
import { data } from "react-router";
import { CuttingPaper } from "../papers/CuttingPaper.tsx";
import { LabelsPaper } from "../papers/LabelsPaper.tsx";
import { OrderPaper } from "../papers/OrderPaper.tsx";
import { SheetPaper } from "../papers/SheetPaper.tsx";
import { PrintPage } from "../ui/parts/Paper.tsx";
import { heavily } from "../ui/server/heavily.ts";
import type { Route } from "./+types/dayPapers.route";
import { DayPaper } from "./DayPaper.tsx";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `All papers · ${loaderData.day.title}` : "All papers" },
];

export async function loader({ context, params: { date }, request }: Route.LoaderArgs) {
	const { search, searchParams } = new URL(request.url);
	const sitting = searchParams.get("sitting");
	const view = await heavily(context, "dayPapers", { date, sitting, search }, request);
	if (!view) throw data({ missing: "day" }, { status: 404 });
	return view;
}

/** One press: the day sheet, then each sitting with its order, and each dish with its sheet, cutting note and labels. */
export default function AllPapers({ loaderData: { day, sittings } }: Route.ComponentProps) {
	const back = `/day/${day.date}`;
	return (
		<PrintPage paper={day.paper} back={{ to: back, words: "Back to the day" }} here={`${back}/papers`}>
			<DayPaper view={day} />
			{sittings.map(({ id, order, dishes }) => (
				<section key={id}>
					<NextPage>
						<OrderPaper view={order} />
					</NextPage>
					{dishes.map((dish) => (
						<section key={dish.id}>
							<NextPage>
								<SheetPaper view={dish.sheet} />
							</NextPage>
							<NextPage>
								<CuttingPaper view={dish.cutting} />
							</NextPage>
							<NextPage>
								<LabelsPaper view={dish.labels} />
							</NextPage>
						</section>
					))}
				</section>
			))}
		</PrintPage>
	);
}

function NextPage({ children }: { readonly children: ReactNode }) {
	return (
		<chakra.div breakBefore="page" marginTop={{ base: "24px", _print: 0 }}>
			{children}
		</chakra.div>
	);
}
