import { chakra } from "@chakra-ui/react/styled-system";
import { CavityFrame, OVEN_FLOOR_PX, OVEN_WALL_PX } from "../ui/drawings/CavityFrame.tsx";
import { PansOnFloor } from "../ui/drawings/PansOnFloor.tsx";
import { PansOnRungs } from "../ui/drawings/PansOnRungs.tsx";
import { counted } from "../ui/words/reading.ts";
import type { DayView, Stand, WallOven } from "./day.view.ts";
import type { Lift, Locate } from "./useLift.ts";

/** What is lifted leaves a dashed outline. */
const Box = chakra("g", {
	base: {
		"&[data-lifted] path": { fill: "sheet", strokeDasharray: "5 4" },
		"&[data-lifted] rect": { display: "none" },
		"&[data-lifted] text": { display: "none" },
	},
});
interface WallProps {
	readonly ovens: readonly WallOven[];
	/** What no oven takes. */
	readonly onFloor: DayView["onFloor"];
	readonly at: number;
	readonly lift: Lift;
}

/** All ovens at one moment, on one floor line, with what stands in them; what no oven takes before them. */
export function OvenWall({ ovens, onFloor, at, lift }: WallProps) {
	return (
		<chakra.div
			display="flex"
			flexWrap="wrap"
			gap="18px 28px"
			alignItems="flex-end"
			flex="none"
			maxWidth="100%"
		>
			{ovens.map((oven) => (
				<Cavity key={oven.id} oven={oven} at={at} lift={lift} />
			))}
			{onFloor.map(({ id, pans, of }) => (
				<PansOnFloor key={id} pans={pans} of={of} />
			))}
		</chakra.div>
	);
}

/** Over which oven, and on which of its rungs, a pointer is. */
const locate: Locate = ({ clientX, clientY }) => {
	const under = document
		.elementsFromPoint(clientX, clientY)
		.map((element) => element.closest("svg"))
		.find((svg) => svg?.dataset.oven);
	if (!under) return {};
	const { oven = "", rungs = "1" } = under.dataset;
	const box = under.getBoundingClientRect();
	const scale = box.height / under.viewBox.baseVal.height;
	const floor = box.bottom - (OVEN_WALL_PX + OVEN_FLOOR_PX) * scale;
	const pitch = (box.height - (2 * OVEN_WALL_PX + OVEN_FLOOR_PX) * scale) / Number(rungs);
	const rung = Math.floor((floor - clientY) / pitch);
	return { oven, rung: Math.min(Number(rungs) - 1, Math.max(0, rung)) };
};

function Cavity({ oven, at, lift }: { readonly oven: WallOven; readonly at: number; readonly lift: Lift }) {
	const held = lift.view;
	const over = held?.lifted.oven === oven.id ? held.ghost : null;
	const free = over ? freeRungs(oven, over, held?.lifted.id) : [];
	const inside = oven.stands.filter(({ from, to }) => from <= at && to > at);
	const taken = inside.reduce((sum, { rungs }) => sum + rungs.length, 0);
	const [first] = inside;
	return (
		<chakra.figure margin={0} flex="none" maxWidth="100%">
			<CavityFrame
				oven={{ ...oven, set_C: first?.set_C ?? null }}
				free={free}
				words={wordsOf(oven, inside, taken)}
				data-oven={oven.id}
				data-rungs={oven.rungs}
			>
				{(room) => (
					<>
						{inside.map((stand) => (
							<Box
								key={stand.id}
								cursor="grab"
								touchAction="none"
								data-lifted={held?.lifted.id === stand.id || undefined}
								{...lift.handle(stand.id, oven.id, stand.from, locate)}
							>
								<PansOnRungs
									pans={stand.pans}
									rungs={stand.rungs}
									inside={room}
									label={(px) => labelOf(stand, px)}
								/>
							</Box>
						))}
						{over && over.from <= at && over.to > at ? (
							<g style={{ opacity: 0.75, pointerEvents: "none" }}>
								<PansOnRungs
									pans={over.pans}
									rungs={over.rungs}
									inside={room}
									label={(px) => labelOf(over, px)}
								/>
							</g>
						) : null}
					</>
				)}
			</CavityFrame>
			<chakra.figcaption marginTop="6px" fontSize="17px" lineHeight="1.3">
				<chakra.b fontFamily="head" fontSize="19px">
					{oven.name}
				</chakra.b>
				<br />
				{first ? `${first.set}, ` : "cold, "}
				{taken >= oven.rungs ? "full" : `${taken} of ${counted(oven.rungs, "rung")}`}
			</chakra.figcaption>
		</chakra.figure>
	);
}

/** Rungs that nobody has while the pans would stand there. */
function freeRungs(oven: WallOven, ghost: Stand, lifted: string | undefined): number[] {
	const taken = oven.stands
		.filter(({ id, from, to }) => id !== lifted && from < ghost.to && to > ghost.from)
		.flatMap(({ rungs }) => rungs);
	return Array.from({ length: oven.rungs }, (_, index) => index).filter((index) => !taken.includes(index));
}

/** Room for a letter with its clock, and for the word between them, px. */
const WITH_CLOCK_PX = 84;
const WITH_WORD_PX = 120;

function labelOf({ tag, out }: Stand, room: number): string {
	if (room < WITH_CLOCK_PX) return tag;
	return room < WITH_WORD_PX ? `${tag} ${out}` : `${tag} out ${out}`;
}

function wordsOf(oven: WallOven, inside: readonly Stand[], taken: number): string {
	if (inside.length === 0) return `${oven.name}: cold and empty`;
	const what = inside.map(
		({ tag, dish, out, rungs }) => `${tag} ${dish} on ${counted(rungs.length, "rung")}, out at ${out}`,
	);
	return `${oven.name} at ${inside[0]?.set}, ${taken} of ${counted(oven.rungs, "rung")}: ${what.join("; ")}`;
}
