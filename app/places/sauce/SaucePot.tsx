import { chakra } from "@chakra-ui/react/styled-system";
import { scaleLinear } from "d3-scale";
import { type PointerEvent, useEffect, useState } from "react";
import { reduceIn } from "#core/sauce";
import { durationWords } from "#core/time";
import { GRIP, LevelGrip } from "../../ui/drawings/LevelGrip.tsx";
import { Label, Line, Path, Rect, Svg } from "../../ui/drawings/svg.tsx";
import { useShownWidth } from "../../ui/drawings/useShownWidth.ts";
import { Facts } from "../../ui/parts/Facts.tsx";
import { Muted } from "../../ui/parts/parts.tsx";
import { measuresIn } from "../../ui/words/measures.ts";
import type { PotView } from "./pot.view.ts";
import { SaltScale } from "./SaltScale.tsx";

/** The widest the pot is drawn, px, with the room for its ruler at the left and the grip at the right. */
const WIDEST = 400;
const RULER = 70;
const RIGHT = GRIP.width + 12;
const ABOVE = 26;
const BELOW = 26;
/** Width it is laid out in until it is shown, px. */
const FIRST = 560;
/** Height of a line's words with the room round them, px. */
const WORDS_PX = 30;
/** Marks on the stick, mm. */
const TICK_MM = 20;

/** The pot standing on the stove: what there is, what is wanted, and the level that is tried. */
export function SaucePot({ pot }: { readonly pot: PotView }) {
	const [level_l, setLevel] = useState(Math.min(pot.wanted_l, pot.take_l));
	useEffect(() => setLevel(Math.min(pot.wanted_l, pot.take_l)), [pot.wanted_l, pot.take_l]);
	const { volume, length } = measuresIn(pot.units);
	const tried = triedLevel(pot, level_l);
	const salt = tried.salt_pct === undefined ? "" : `, salt ${tried.salt_pct.toFixed(2)} %`;
	const text = `${volume(level_l)}, ${length(tried.mark_mm)} on the stick, after ${durationWords(tried.minutes)}${salt}, ${volume(level_l / pot.portions)} a plate`;
	return (
		<chakra.div display="grid" gap="12px">
			<Drawing pot={pot} level_l={level_l} text={text} onLevel={setLevel} />
			<Muted>
				Drag the level to see what reducing further, or less, would do. The plan keeps what is wanted.
			</Muted>
			<Facts
				facts={[
					{ figure: volume(level_l), label: "at this level" },
					{ figure: length(tried.mark_mm), label: "on the stick" },
					{ figure: durationWords(tried.minutes), label: "at a rolling boil" },
					{ figure: volume(level_l / pot.portions), label: "a plate" },
				]}
				fontSize="22px"
			/>
			{tried.salt_pct === undefined ? null : <SaltScale pct={tried.salt_pct} band={pot.band_pct} />}
			<Remedies pot={pot} />
		</chakra.div>
	);
}

function triedLevel(pot: PotView, level_l: number) {
	const fillings = pot.count * pot.goes;
	const tried = reduceIn({
		start_l: pot.take_l / fillings,
		target_l: Math.min(level_l, pot.take_l) / fillings,
		floor_m2: pot.floor_m2,
		power_kW: pot.power_kW,
		...(pot.salt_pct === null ? {} : { salt_pct: pot.salt_pct }),
	});
	return { ...tried, minutes: tried.minutes * pot.goes };
}

interface DrawingProps {
	readonly pot: PotView;
	readonly level_l: number;
	readonly text: string;
	readonly onLevel: (litres: number) => void;
}

function Drawing({ pot, level_l, text, onLevel }: DrawingProps) {
	const [svg, shown] = useShownWidth(FIRST);
	const width = Math.min(WIDEST, shown - RULER - RIGHT);
	const px = scaleLinear().domain([0, pot.across_mm]).range([0, width]);
	const depth = px(pot.height_mm);
	const area_m2 = pot.count * pot.goes * pot.floor_m2;
	const up = (litres: number) => depth - px(litres / area_m2);
	const { volume, length } = measuresIn(pot.units);
	const take = (litres: number) => onLevel(Math.min(pot.take_l, Math.max(pot.take_l * 0.05, litres)));
	const litresAt = (event: PointerEvent) => {
		const box = svg.current?.getBoundingClientRect();
		if (!box) return level_l;
		const y = ((event.clientY - box.top) * (depth + ABOVE + BELOW)) / box.height - ABOVE;
		return px.invert(depth - y) * area_m2;
	};
	const stepped = (key: string) => {
		const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[key];
		return by === undefined ? undefined : level_l + by * area_m2;
	};
	const there = up(pot.take_l);
	const at = up(level_l);
	const wanted = up(pot.wanted_l);
	// Its words stand under its line, or under the pot where it is too near the floor.
	const hasRoom = depth - wanted > WORDS_PX;
	return (
		<Svg
			maxWidth="560px"
			ref={svg}
			viewBox={`${-RULER} ${-ABOVE} ${shown} ${depth + ABOVE + BELOW}`}
			role="group"
			aria-label={`${pot.count > 1 ? `One of ${pot.count}: ` : ""}${pot.goes > 1 ? `filled ${pot.goes} times, ` : ""}${pot.name} cut through: ${volume(pot.take_l)} taken, ${length(pot.fat_mm)} of fat on it, ${volume(pot.wanted_l)} wanted.`}
		>
			<Rect x={0} y={there} width={width} height={Math.max(0, at - there)} fill="place" />
			<Rect x={0} y={at} width={width} height={depth - at} fill="broth" />
			<Rect
				x={0}
				y={there - px(pot.fat_mm)}
				width={width}
				height={px(pot.fat_mm)}
				fill="bone"
				stroke="edge"
			/>
			<Path d={`M0,0 V${depth} H${width} V0`} fill="none" stroke="pan" strokeWidth={5} />
			<Stick height_mm={pot.height_mm} depth={depth} y={(mm) => depth - px(mm)} />
			<Line x1={0} x2={width} y1={there} y2={there} strokeDasharray="5 5" />
			<Label x={10} y={there - px(pot.fat_mm) - 7} fill="ink">
				{volume(pot.take_l)} taken
			</Label>
			<Line x1={-6} x2={width} y1={wanted} y2={wanted} stroke="ink" strokeWidth={2} />
			<Label
				x={10}
				y={hasRoom ? wanted + 19 : depth + 20}
				fill={hasRoom && at <= wanted + 12 ? "brothInk" : "ink"}
				fontWeight="650"
			>
				{volume(pot.wanted_l)} wanted
			</Label>
			<Line
				data-means="level of the sauce"
				x1={0}
				x2={width + 8}
				y1={at}
				y2={at}
				stroke="ink"
				strokeWidth={2.5}
			/>
			<LevelGrip
				label="Level of the sauce"
				text={text}
				figure={volume(level_l)}
				now={Number(level_l.toFixed(2))}
				most={Number(pot.take_l.toFixed(2))}
				x={width + 8}
				y={at}
				valueAt={litresAt}
				keyTo={stepped}
				onMove={take}
			/>
		</Svg>
	);
}

/** A stick with its millimetres, standing beside the pot. */
function Stick({
	height_mm,
	depth,
	y,
}: {
	readonly height_mm: number;
	readonly depth: number;
	readonly y: (mm: number) => number;
}) {
	const ticks = Array.from({ length: Math.floor(height_mm / TICK_MM) + 1 }, (_, index) => index * TICK_MM);
	return (
		<>
			<Line x1={-22} x2={-22} y1={0} y2={depth} strokeWidth={2} />
			{ticks.map((mm) => (
				<g key={mm}>
					<Line x1={-30} x2={-22} y1={y(mm)} y2={y(mm)} />
					{mm % (2 * TICK_MM) === 0 ? (
						<Label x={-34} y={y(mm) + 5} textAnchor="end">
							{mm}
						</Label>
					) : null}
				</g>
			))}
		</>
	);
}

/** Every way from what there is to what is wanted. */
function Remedies({ pot }: { readonly pot: PotView }) {
	return (
		<chakra.dl
			display="grid"
			gridTemplateColumns={{ base: "minmax(0,1fr)", sm: "150px minmax(0,1fr)" }}
			gap="4px 14px"
		>
			{pot.remedies.map(({ name, says, glutenFree }) => (
				<chakra.div key={name} display="contents">
					<chakra.dt fontWeight="650">{name}</chakra.dt>
					<dd>
						{says}. <Muted>{glutenFree ? "No gluten from it." : "Brings gluten."}</Muted>
					</dd>
				</chakra.div>
			))}
		</chakra.dl>
	);
}
