import { chakra } from "@chakra-ui/react/styled-system";
import { type CSSProperties, type KeyboardEvent, useRef } from "react";
import { Link, useSearchParams } from "react-router";
import { Figure } from "../ui/parts/parts.tsx";
import { Tape } from "../ui/parts/Tape.tsx";
import type { LongTableView, RipplingPlace } from "./longTable.view.ts";

const Strip = chakra("nav", {
	base: {
		marginTop: "14px",
		bg: "steel",
		padding: "6px 6px 0",
		display: "grid",
		gap: "1px",
		gridTemplateColumns: {
			base: "repeat(2, minmax(0,1fr))",
			sm: "repeat(3, minmax(0,1fr))",
			md: "repeat(4, minmax(0,1fr))",
			lg: "none",
		},
		gridAutoFlow: { base: "row", lg: "column" },
		gridAutoColumns: { lg: "minmax(min-content, 1fr)" },
		gridTemplateRows: { lg: "auto 1fr" },
	},
});
const Place = chakra(Link, {
	base: {
		bg: "place",
		padding: "9px 6px 12px 9px",
		display: "flex",
		flexDirection: "column",
		gap: "6px",
		alignItems: "flex-start",
		textDecoration: "none",
		minWidth: 0,
		_hover: { bg: "sheet" },
		_focusVisible: { outlineOffset: "-3px" },
		"&[aria-current]": {
			bg: "raised",
			boxShadow: "inset 0 5px 0 var(--wt-colors-ink), 0 7px 0 var(--wt-colors-raised)",
			zIndex: 1,
		},
		gridRow: { lg: 2 },
		gridColumn: { lg: "var(--column)" },
	},
});
const Clock = chakra("span", { base: { color: "muted", lineHeight: 1.2, overflowWrap: "anywhere" } });
const Service = chakra("div", {
	base: {
		bg: "mahogany",
		color: "onMahogany",
		display: "flex",
		flexDirection: { base: "row", lg: "column" },
		gap: "4px",
		alignItems: "center",
		justifyContent: "center",
		padding: "8px 4px",
		fontFamily: "head",
		fontWeight: 700,
		fontSize: "21px",
		textAlign: "center",
		gridRow: { lg: "1 / span 2" },
		gridColumn: { lg: "var(--column)" },
	},
});

/** The day of some places, over them: named once. */
const Bracket = chakra("div", {
	base: {
		display: { base: "none", lg: "block" },
		gridRow: 1,
		color: "muted",
		fontSize: "16px",
		lineHeight: 1.2,
		padding: "2px 9px 3px",
		borderTop: "2px solid",
		borderColor: "edge",
		whiteSpace: "nowrap",
		overflow: "hidden",
		textOverflow: "ellipsis",
	},
});

/** Places that follow one another on one day. */
function runsOfDays(places: readonly { readonly day: string }[]) {
	const runs: { day: string; from: number; count: number }[] = [];
	for (const [index, { day }] of places.entries()) {
		const last = runs.at(-1);
		if (last?.day === day) last.count += 1;
		else runs.push({ day, from: index, count: 1 });
	}
	return runs;
}

type Table = NonNullable<LongTableView["table"]>;

/** The long table: a place for each part of the work, left to right, ending at service. */
export function PlaceStrip({
	table,
	service,
}: {
	readonly table: Table;
	readonly service: LongTableView["service"];
}) {
	const [address] = useSearchParams();
	const strip = useRef<HTMLElement>(null);
	const to = (place: string) => {
		const next = new URLSearchParams(address);
		next.set("place", place);
		return `?${next}`;
	};
	const walk = (event: KeyboardEvent) => {
		const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
		if (step === undefined) return;
		const links = [...(strip.current?.querySelectorAll("a") ?? [])];
		const at = links.indexOf(document.activeElement as HTMLAnchorElement);
		const next = links[(at + step + links.length) % links.length];
		next?.focus();
		next?.click();
		event.preventDefault();
	};
	return (
		<Strip ref={strip} aria-label="The long table" onKeyDown={walk}>
			{runsOfDays(table.places).map(({ day, from, count }) => (
				<Bracket key={`${day} ${from}`} style={{ gridColumn: `${from + 1} / span ${count}` }} aria-hidden>
					{day}
				</Bracket>
			))}
			{table.places.map((place, index) => (
				<Place
					key={place.key}
					style={{ "--column": index + 1 } as CSSProperties}
					to={to(place.key)}
					replace
					preventScrollReset
					aria-current={place.key === table.selected ? "step" : undefined}
					aria-keyshortcuts={index < 9 ? String(index + 1) : "0"}
					data-key-name={place.label}
				>
					<Tape>{place.label}</Tape>
					<PlaceFigure place={place} />
				</Place>
			))}
			<Service style={{ "--column": table.places.length + 1 } as CSSProperties}>
				<span>{service.time}</span>
				<chakra.span fontSize="16px" fontWeight="500" fontFamily="text">
					{service.day}
				</chakra.span>
			</Service>
		</Strip>
	);
}

function PlaceFigure({ place: { figure, clock, time, was } }: { readonly place: RipplingPlace }) {
	return (
		<>
			<Figure size="narrow">
				<Unbroken words={figure} />
				{was?.figure ? <Was>{was.figure}</Was> : null}
			</Figure>
			<Clock>
				{/* At the desk the day stands over the places; a reader hears it with each. */}
				<chakra.span hideFrom="lg">{clock}</chakra.span>
				<chakra.span hideBelow="lg" aria-hidden>
					{time}
				</chakra.span>
				<chakra.span srOnly hideBelow="lg">
					{clock}
				</chakra.span>
				{was?.clock ? <Was>{was.clock}</Was> : null}
			</Clock>
		</>
	);
}

/** One kind of pan stays on its line; several break where there is room. */
function Unbroken({ words }: { readonly words: string }) {
	return <chakra.span whiteSpace={{ lg: words.includes(" + ") ? "normal" : "nowrap" }}>{words}</chakra.span>;
}

/** The figure before the trial, beside the new one. */
function Was({ children }: { readonly children: string }) {
	return (
		<chakra.span
			display="block"
			color="muted"
			fontWeight="500"
			fontSize="16px"
			fontFamily="text"
			fontStretch="100%"
			lineHeight="1.2"
		>
			was {children}
		</chakra.span>
	);
}
