import { chakra } from "@chakra-ui/react/styled-system";
import { heatColour } from "../ui/drawings/heat.ts";
import { counted } from "../ui/words/reading.ts";
import type { Stand, WallOven } from "./day.view.ts";
import type { Lift, Locate } from "./useLift.ts";

/** Half a pixel a millimetre: all ovens to one scale. */
const PX_PER_MM = 0.5;
const WALL_PX = 12;
/** Under the lowest rung: the floor with its heat. */
const FLOOR_PX = 12;
const GAP_PX = 6;

const Rect = chakra("rect");
/** What is lifted leaves a dashed outline. */
const Box = chakra("g", {
	base: {
		"&[data-lifted] path": { fill: "sheet", strokeDasharray: "5 4" },
		"&[data-lifted] rect": { display: "none" },
		"&[data-lifted] text": { display: "none" },
	},
});
const Line = chakra("line", { base: { stroke: "hair", strokeWidth: 1 } });
const Path = chakra("path", { base: { fill: "meat", stroke: "pan", strokeWidth: 2 } });
const OnPan = chakra("text", {
	base: { fill: "white", fontFamily: "head", fontWeight: 700, fontSize: "18px", dominantBaseline: "middle" },
});

interface WallProps {
	readonly ovens: readonly WallOven[];
	readonly at: number;
	readonly lift: Lift;
}

/** All ovens at one moment, on one floor line, with what stands in them. */
export function OvenWall({ ovens, at, lift }: WallProps) {
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
	const floor = box.bottom - (WALL_PX + FLOOR_PX) * scale;
	const pitch = (box.height - (2 * WALL_PX + FLOOR_PX) * scale) / Number(rungs);
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
	const width = oven.width_mm * PX_PER_MM + 2 * WALL_PX;
	const rung = oven.pitch_mm * PX_PER_MM;
	const height = oven.rungs * rung + 2 * WALL_PX + FLOOR_PX;
	const floor = height - WALL_PX - FLOOR_PX;
	return (
		<chakra.figure margin={0} flex="none" maxWidth="100%">
			<svg
				width={width}
				height={height}
				viewBox={`0 0 ${width} ${height}`}
				role="img"
				data-oven={oven.id}
				data-rungs={oven.rungs}
				aria-label={wordsOf(oven, inside, taken)}
			>
				<Rect
					x={1.5}
					y={1.5}
					width={width - 3}
					height={height - 3}
					fill="steel"
					stroke="pan"
					strokeWidth={3}
				/>
				<Rect
					x={WALL_PX}
					y={WALL_PX}
					width={width - 2 * WALL_PX}
					height={height - 2 * WALL_PX}
					fill="sheet"
				/>
				{Array.from({ length: oven.rungs }, (_, index) => index).map((index) => (
					<Line
						key={index}
						x1={WALL_PX}
						x2={width - WALL_PX}
						y1={floor - index * rung}
						y2={floor - index * rung}
						style={free.includes(index) ? { strokeWidth: 4 } : {}}
					/>
				))}
				{first ? (
					<Rect
						x={WALL_PX}
						y={floor + 3}
						width={width - 2 * WALL_PX}
						height={FLOOR_PX - 3}
						style={{ fill: heatColour(first.set_C) }}
					/>
				) : null}
				{inside.map((stand) => (
					<Box
						key={stand.id}
						cursor="grab"
						touchAction="none"
						data-lifted={held?.lifted.id === stand.id || undefined}
						{...lift.handle(stand.id, oven.id, stand.from, locate)}
					>
						<Stands stand={stand} width={width - 2 * WALL_PX} floor={floor} rung={rung} />
					</Box>
				))}
				{over && over.from <= at && over.to > at ? (
					<g style={{ opacity: 0.75, pointerEvents: "none" }}>
						<Stands stand={over} width={width - 2 * WALL_PX} floor={floor} rung={rung} />
					</g>
				) : null}
			</svg>
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

interface StandsProps {
	readonly stand: Stand;
	readonly width: number;
	readonly floor: number;
	readonly rung: number;
}

/** The pans of a dish on their rungs; the lowest carries its letter and when it comes out. */
function Stands({ stand, width, floor, rung }: StandsProps) {
	const drawn = drawnPans(stand);
	const [lowest] = drawn;
	return (
		<g>
			{drawn.map(({ level, place, across, depth_mm, width_mm }) => {
				const slot = width / across;
				const wide = Math.min(width_mm * PX_PER_MM, slot - GAP_PX);
				const left = WALL_PX + place * slot + (slot - wide) / 2;
				const bottom = floor - level * rung - 1;
				const high = Math.max(8, depth_mm * PX_PER_MM - 3);
				return (
					<g key={`${level} ${place}`}>
						<Path d={`M${left},${bottom - high} h${wide} l-6,${high} h${12 - wide} z`} />
						<Rect x={left - 2} y={bottom - high - 3} width={wide + 4} height={4} fill="pan" />
					</g>
				);
			})}
			{lowest ? (
				<OnPan
					x={WALL_PX + (width / lowest.across) * (lowest.place + 0.5)}
					y={floor - lowest.level * rung - Math.max(8, lowest.depth_mm * PX_PER_MM - 3) / 2}
					textAnchor="middle"
				>
					{labelOf(stand, width / lowest.across)}
				</OnPan>
			) : null}
		</g>
	);
}

/** Room for a letter with its clock, and for the word between them, px. */
const WITH_CLOCK_PX = 84;
const WITH_WORD_PX = 120;

function labelOf({ tag, out }: Stand, room: number): string {
	if (room < WITH_CLOCK_PX) return tag;
	return room < WITH_WORD_PX ? `${tag} ${out}` : `${tag} out ${out}`;
}

interface DrawnPan {
	readonly level: number;
	readonly place: number;
	readonly across: number;
	readonly depth_mm: number;
	readonly width_mm: number;
}

/** Level by level from the lowest rung it has. */
function drawnPans({ pans, rungs }: Stand): DrawnPan[] {
	const levels = pans.reduce((sum, { count, across }) => sum + Math.ceil(count / across), 0);
	const high = levels > 0 ? rungs.length / levels : 1;
	const drawn: DrawnPan[] = [];
	let done = 0;
	for (const { count, across, depth_mm, width_mm } of pans) {
		for (let pan = 0; pan < count; pan += 1) {
			const level = rungs[Math.round((done + Math.floor(pan / across)) * high)];
			if (level !== undefined) drawn.push({ level, place: pan % across, across, depth_mm, width_mm });
		}
		done += Math.ceil(count / across);
	}
	return drawn;
}

function wordsOf(oven: WallOven, inside: readonly Stand[], taken: number): string {
	if (inside.length === 0) return `${oven.name}: cold and empty`;
	const what = inside.map(
		({ tag, dish, out, rungs }) => `${tag} ${dish} on ${counted(rungs.length, "rung")}, out at ${out}`,
	);
	return `${oven.name} at ${inside[0]?.set}, ${taken} of ${counted(oven.rungs, "rung")}: ${what.join("; ")}`;
}
