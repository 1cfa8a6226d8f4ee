import { chakra } from "@chakra-ui/react/styled-system";
import { JourneyCurve } from "../ui/drawings/JourneyCurve.tsx";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { ActLink, Key, Muted, Page, Sheet } from "../ui/parts/parts.tsx";
import { heavily } from "../ui/server/heavily.ts";
import type { Route } from "./+types/lotWay.route";
import { numberIn } from "./numberIn.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Bench to plate · Lot ${loaderData.lot}` : "Bench to plate" },
];

export async function loader({ context, params, request }: Route.LoaderArgs) {
	return heavily(context, "lotWay", { lot: numberIn(params.lot) }, request);
}

/** How warm a lot was on its whole way: as planned until its lift, from then on as it was read. */
export default function LotWay({ loaderData: { lot, dish, way } }: Route.ComponentProps) {
	return (
		<Page>
			<PageHead title={dish} says={`Lot ${lot} · how warm it was, bench to plate`}>
				<ActLink to={`/records/lots/${lot}`} aria-keyshortcuts="z">
					Back to the lot <Key aria-hidden>z</Key>
				</ActLink>
			</PageHead>
			{way ? (
				<Sheet marginTop="10px" display="grid" gap="12px">
					<JourneyCurve drawing={way.drawing} />
					<Muted>{way.planned}</Muted>
					<chakra.ol listStyle="none" display="grid" gap="4px" aria-label="Limits on the way">
						{way.limits.map(({ mark, words, isWell }) => (
							<li key={mark}>
								<b>{mark}</b> {isWell ? "" : "▲ "}
								{words}
							</li>
						))}
					</chakra.ol>
					{way.killed ? <p>{way.killed}</p> : null}
					<p>{way.growth}</p>
					<Muted>The local authority and the licensed operator decide.</Muted>
				</Sheet>
			) : (
				<Sheet marginTop="10px">Nothing that counts was read of it yet.</Sheet>
			)}
		</Page>
	);
}
