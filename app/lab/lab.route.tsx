import { chakra } from "@chakra-ui/react/styled-system";
import isEqual from "fast-deep-equal";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { BraiseGiven, PansThrough } from "#core/braise";
import { durationWords } from "#core/time";
import { labAddress } from "../ui/forms/labAddress.ts";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { Act, ActLink, Heading, Key, Muted, Note, Page, Sheet } from "../ui/parts/parts.tsx";
import { heavily } from "../ui/server/heavily.ts";
import { ALONE } from "../ui/words/alone.ts";
import { measuresIn } from "../ui/words/measures.ts";
import { useBraiseWorker } from "../workers/useBraiseWorker.ts";
import type { Route } from "./+types/lab.route";
import { LabControls } from "./LabControls.tsx";
import { LabPanSheet } from "./LabPanSheet.tsx";
import { changedPan, givenOf, type LabPan, labPanOf, MOST_PANS, NAMES } from "./labPan.ts";
import { againstFirst, oldClaimWords } from "./labWords.ts";

export const meta: Route.MetaFunction = () => [{ title: "Lab" }];

export function loader({ context, request }: Route.LoaderArgs) {
	const asked = new URL(request.url).searchParams.getAll("pan");
	return heavily(context, "lab", { asked }, request);
}

/** While the pieces are still warming up: there is something to see in the cut, minutes. */
const FIRST_CURSOR_MIN = 35;
/** After so long without a change the address is that of what is shown, ms. */
const SETTLED_MS = 400;

const Bench = chakra("div", {
	base: {
		display: "grid",
		gap: "10px",
		alignItems: "start",
		gridTemplateColumns: { base: "minmax(0,1fr)", md: "250px minmax(0,1fr)", lg: "280px minmax(0,1fr)" },
		marginTop: "12px",
	},
});
const Pans = chakra("div", {
	base: { display: "grid", gap: "10px", minWidth: 0 },
	variants: {
		count: {
			1: { gridTemplateColumns: "minmax(0,1fr)" },
			2: { gridTemplateColumns: { base: "minmax(0,1fr)", lg: "repeat(2, minmax(0,1fr))" } },
			3: { gridTemplateColumns: { base: "minmax(0,1fr)", lg: "repeat(3, minmax(0,1fr))" } },
		},
	},
});

export default function Lab({ loaderData }: Route.ComponentProps) {
	const { kinds, units, wrong } = loaderData;
	const lab = useLab(loaderData.pans, loaderData.through);
	const { pans, through, chosen, cursor } = lab;
	const selected = pans[chosen] ?? pans[0];
	const measures = useMemo(() => measuresIn(units), [units]);
	const end_min = Math.max(60, ...through.pans.map(({ curve }) => curve.end_min));
	if (!selected) return null;
	return (
		<Page>
			<PageHead
				title="Lab"
				says={`Change one thing and see what it does to the time, the liquid and the window, ${ALONE}.`}
			>
				<ActLink kind="next" to="/lab/rounds" aria-keyshortcuts="r">
					Training rounds <Key aria-hidden>r</Key>
				</ActLink>
			</PageHead>
			{wrong.map((words) => (
				<Note key={words} role="alert" marginTop="12px">
					{words}
				</Note>
			))}
			<Bench>
				<Sheet>
					<chakra.p
						hideFrom="md"
						position="sticky"
						top="0"
						bg="sheet"
						paddingBlock="6px"
						fontFamily="head"
						fontWeight="700"
						fontSize="21px"
					>
						{through.pans.map(({ tender_min }, index) => (
							<chakra.span key={NAMES[index]} marginInlineEnd="18px">
								{NAMES[index]} {tender_min ? durationWords(tender_min.likely) : "never"}
							</chakra.span>
						))}
					</chakra.p>
					<LabControls
						name={NAMES[chosen] ?? "A"}
						lab={selected}
						kinds={kinds}
						units={units}
						onChange={lab.change}
					/>
					<chakra.div display="flex" flexWrap="wrap" gap="8px" marginTop="12px">
						{pans.length < MOST_PANS ? (
							<Act type="button" onClick={lab.add} aria-keyshortcuts="n">
								Another pan beside it <Key aria-hidden>n</Key>
							</Act>
						) : null}
						{pans.length > 1 ? (
							<Act type="button" kind="quiet" onClick={lab.remove}>
								Take pan {NAMES[chosen]} away
							</Act>
						) : null}
					</chakra.div>
					{lab.failed ? (
						<Note role="alert" marginTop="12px">
							This browser could not reckon it. What is shown is from before the last change.
						</Note>
					) : null}
				</Sheet>
				<chakra.div
					display="grid"
					gap="10px"
					minWidth="0"
					position={{ base: "static", md: "sticky", lg: "static" }}
					top="8px"
				>
					<Pans count={pans.length as 1 | 2 | 3}>
						{pans.map((pan, index) => {
							const mine = through.pans[index];
							const first = through.pans[0];
							if (!mine || !first) return null;
							return (
								<LabPanSheet
									key={NAMES[index]}
									name={NAMES[index] ?? ""}
									lab={pan}
									through={mine}
									against={
										index === 0
											? ""
											: againstFirst(
													{ lab: pans[0] ?? pan, through: first },
													{ lab: pan, through: mine },
													measures,
												)
									}
									index={index}
									isChosen={index === chosen}
									end_min={end_min}
									cursor_min={Math.min(cursor, end_min)}
									count={pans.length}
									measures={measures}
									onChoose={lab.choose}
									onCursor={lab.moveTo}
								/>
							);
						})}
					</Pans>
					<Sheet>
						<Heading>What is believed, and what this pan says</Heading>
						<chakra.dl
							display="grid"
							gap="14px 28px"
							marginTop="10px"
							gridTemplateColumns={{ base: "minmax(0,1fr)", md: "repeat(3, minmax(0,1fr))" }}
						>
							{through.oldClaims ? (
								oldClaimWords(through.oldClaims, measures).map(({ claim, plainly, here }) => (
									<div key={claim}>
										<chakra.dt fontWeight="650">{claim}</chakra.dt>
										<dd>
											<b>{plainly}</b> <Muted>{here}</Muted>
										</dd>
									</div>
								))
							) : (
								<Muted>Pan A is never tender; give it more heat.</Muted>
							)}
						</chakra.dl>
					</Sheet>
				</chakra.div>
			</Bench>
		</Page>
	);
}

/** A pan that came out as it was before is the same object, so that it is not drawn again. */
function useSamePans(through: PansThrough): PansThrough {
	const before = useRef(through);
	const same = useMemo(() => {
		const pans = through.pans.map((pan, index) => {
			const old = before.current.pans[index];
			return old && isEqual(old.given, pan.given) ? old : pan;
		});
		return { ...through, pans };
	}, [through]);
	before.current = same;
	return same;
}

/** The pans on the bench, reckoned anew while they are changed. */
function useLab(given: readonly BraiseGiven[], firstThrough: Route.ComponentProps["loaderData"]["through"]) {
	const [pans, setPans] = useState(() => given.map(labPanOf));
	const [chosen, choose] = useState(0);
	const [cursor, moveTo] = useState(FIRST_CURSOR_MIN);
	const { result, state, ask } = useBraiseWorker((remote, asked: readonly BraiseGiven[]) =>
		remote.pans(asked),
	);
	// What is on the bench now, for changes that come faster than the page is drawn.
	const bench = useRef({ pans, chosen });
	bench.current.chosen = chosen;
	const put = useCallback(
		(next: LabPan[]) => {
			bench.current.pans = next;
			setPans(next);
			ask(next.map(givenOf));
		},
		[ask],
	);
	useEffect(() => {
		const timer = setTimeout(() => {
			if (result) window.history.replaceState(window.history.state, "", labAddress(pans.map(givenOf)));
		}, SETTLED_MS);
		return () => clearTimeout(timer);
	}, [pans, result]);
	const change = useCallback(
		(some: Partial<LabPan>) => {
			const now = bench.current;
			put(now.pans.map((pan, index) => (index === now.chosen ? changedPan(pan, some) : pan)));
		},
		[put],
	);
	const through = useSamePans(result ?? firstThrough);
	return {
		pans,
		through,
		chosen,
		cursor,
		choose,
		moveTo,
		change,
		failed: state === "failed",
		add: () => {
			const copied = pans[chosen];
			if (!copied) return;
			put([...pans, copied]);
			choose(pans.length);
		},
		remove: () => {
			put(pans.filter((_, index) => index !== chosen));
			choose(0);
		},
	};
}
