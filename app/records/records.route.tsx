import { chakra } from "@chakra-ui/react/styled-system";
import { Link } from "react-router";
import { ActLink, Figure, Heading, Key, Muted, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { visitOf } from "../ui/server/visit.ts";
import { counted } from "../ui/words/reading.ts";
import type { Route } from "./+types/records.route";
import { KeptHere } from "./KeptHere.tsx";
import { recordsPage } from "./recordsPage.ts";
import { useLive } from "./useLive.ts";

export const meta: Route.MetaFunction = () => [{ title: "Records · Wide Table" }];

export async function loader({ context }: Route.LoaderArgs) {
	return recordsPage(await visitOf(context));
}

const Row = chakra("li", {
	base: {
		display: "flex",
		flexWrap: "wrap",
		gap: "2px 16px",
		alignItems: "baseline",
		borderTop: "1px solid",
		borderColor: "hair",
		paddingBlock: "10px",
	},
});
const Wide = chakra("span", { base: { flex: "1 1 260px" } });

/** What is being cooled and heated now, what stands in the cold, and what came in. */
export default function Records({ loaderData: { watched, lots, deliveries } }: Route.ComponentProps) {
	useLive([]);
	const pressing = watched.filter(({ isPressing }) => isPressing).length;
	const first = lots[0];
	return (
		<Page>
			<chakra.div display="flex" flexWrap="wrap" gap="10px 14px" alignItems="center" marginBottom="12px">
				<Title>Records</Title>
				<chakra.div marginInlineStart="auto" display="flex" flexWrap="wrap" gap="8px">
					<ActLink to="lots/new" aria-keyshortcuts="n">
						New lot <Key aria-hidden>n</Key>
					</ActLink>
					<ActLink to="deliveries/new" aria-keyshortcuts="i">
						Delivery <Key aria-hidden>i</Key>
					</ActLink>
					<ActLink to="recall" aria-keyshortcuts="c">
						Trace and recall <Key aria-hidden>c</Key>
					</ActLink>
					<ActLink to="sheets" aria-keyshortcuts="p">
						Sheets <Key aria-hidden>p</Key>
					</ActLink>
				</chakra.div>
			</chakra.div>
			<KeptHere news={null} />
			<chakra.div
				display="grid"
				gap="10px"
				alignItems="start"
				gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "minmax(0,1fr) minmax(0,1fr)" }}
			>
				<Sheet>
					<Heading>Watched now</Heading>
					<Figure size="large" display="block" marginBlock="6px 10px">
						{pressing > 0
							? `▲ ${counted(pressing, "pan")} to decide about`
							: watched.length > 0
								? `${counted(watched.length, "pan")}, none to decide about`
								: "Nothing"}
					</Figure>
					<ul>
						{watched.map((one) => (
							<Row key={one.watch}>
								<Wide>
									<Link to={`lots/${one.lot}?watch=${one.watch}`}>
										<b>{one.tag}</b> {one.dish}
									</Link>
									<Muted display="block">
										{one.doing}: {one.newest}
									</Muted>
								</Wide>
								<span>
									{one.isPressing ? "▲ " : ""}
									<b>{one.figure}</b>
									{one.isDoubted ? ", probe in doubt" : ""}
								</span>
							</Row>
						))}
					</ul>
					{watched.length === 0 ? (
						<p>A lot that is cooled, heated again or held is watched here, by its probes or by hand.</p>
					) : null}
				</Sheet>
				<Sheet>
					<Heading>Cold, use first</Heading>
					<Figure size="large" display="block" marginBlock="6px 10px">
						{first ? `${first.isPast ? "▲ " : ""}${first.dish}: ${first.useBy}` : "Nothing"}
					</Figure>
					<ul>
						{lots.map((lot) => (
							<Row key={lot.lot}>
								<Wide>
									<Link to={`lots/${lot.lot}`}>
										<b>Lot {lot.lot}</b> {lot.dish}
									</Link>
									<Muted display="block">
										{lot.holds}, made {lot.made}; {lot.where}
									</Muted>
									{lot.release === "released" || lot.isCooling ? null : <b>▲ {lot.says}</b>}
									{lot.voids > 0 ? (
										<chakra.span display="block">
											▲ <Link to={`lots/${lot.lot}/labels?again=1`}>{counted(lot.voids, "label")} void</Link>
										</chakra.span>
									) : null}
								</Wide>
								<span>
									{lot.isCooling ? "cooling, not released; " : ""}
									{lot.isPast ? "▲ past " : ""}
									{lot.isToday ? "today, " : ""}
									<b>{lot.useBy}</b>
								</span>
							</Row>
						))}
					</ul>
					{lots.length === 0 ? (
						<p>What is made ahead becomes a lot, and stands here until it is served.</p>
					) : null}
				</Sheet>
				<Sheet>
					<Heading>Delivered</Heading>
					<chakra.ul marginTop="8px">
						{deliveries.map((one) => (
							<Row key={one.delivery}>
								<Wide>
									<Link to={`deliveries/${one.delivery}`}>{one.words}</Link>
									<Muted display="block">{one.when}</Muted>
								</Wide>
								<span>
									{one.accepted ? "" : "▲ sent back, "}
									{one.degrees}
								</span>
							</Row>
						))}
					</chakra.ul>
					{deliveries.length === 0 ? <p>Nothing in two weeks.</p> : null}
				</Sheet>
			</chakra.div>
		</Page>
	);
}
