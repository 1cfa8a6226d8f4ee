import { chakra } from "@chakra-ui/react/styled-system";
import { type CSSProperties, type KeyboardEvent, useEffect, useRef } from "react";
import { Link, useSearchParams } from "react-router";
import { Figure, Hidden } from "../ui/parts/parts.tsx";
import { shownAs } from "../ui/parts/shown.ts";
import { Tape } from "../ui/parts/Tape.tsx";
import type { LongTableView, RipplingPlace } from "./longTable.view.ts";

const Strip = chakra("nav", {
	base: {
		marginTop: { base: "10px", lg: "4px" },
		bg: "steel",
		padding: "3px 6px 0",
		display: "grid",
		gap: "1px",
		gridAutoFlow: "column",
		gridAutoColumns: { base: "minmax(112px, max-content)", lg: "minmax(min-content, 1fr)" },
		gridTemplateRows: "auto 1fr",
		// Below the desk it is one strip that is swiped and stays in sight.
		overflowX: "auto",
		overscrollBehaviorX: "contain",
		position: { base: "sticky", lg: "static" },
		top: 0,
		zIndex: 3,
		marginInline: { base: "-14px", md: "-24px", lg: 0 },
		paddingBottom: "7px",
		scrollSnapType: { base: "x proximity", lg: "none" },
		scrollPaddingInline: "40px",
	},
});
const Place = chakra(Link, {
	base: {
		bg: "place",
		padding: "6px 4px 4px 7px",
		display: "flex",
		flexDirection: "column",
		gap: "2px",
		alignItems: "flex-start",
		textDecoration: "none",
		minWidth: 0,
		minHeight: { lg: "76px" },
		scrollSnapAlign: "start",
		_hover: { bg: "sheet" },
		_focusVisible: { outlineOffset: "-3px" },
		"&[aria-current]": {
			bg: "raised",
			boxShadow: "inset 0 5px 0 var(--wt-colors-ink), 0 7px 0 var(--wt-colors-raised)",
			zIndex: 1,
		},
		gridRow: 2,
		gridColumn: "var(--column)",
	},
});
const Clock = chakra("span", {
	base: { color: "muted", lineHeight: 1.2, whiteSpace: "nowrap", fontFamily: "head", fontStretch: "85%" },
});
const Service = chakra("div", {
	base: {
		bg: "mahogany",
		color: "onMahogany",
		display: "flex",
		flexDirection: "column",
		gap: "4px",
		alignItems: "center",
		justifyContent: "center",
		padding: "8px 6px",
		fontFamily: "head",
		fontWeight: 700,
		fontSize: "21px",
		textAlign: "center",
		gridRow: "1 / span 2",
		gridColumn: "var(--column)",
		// Where everything leads stays in sight.
		position: { md: "sticky" },
		insetInlineEnd: "-6px",
		zIndex: 2,
		"& span + span": { fontSize: "16px", fontWeight: 500, fontFamily: "text" },
	},
});

/** The day of some places, over them: named once. */
const Bracket = chakra("div", {
	base: {
		gridRow: 1,
		color: "muted",
		fontSize: "16px",
		lineHeight: 1.2,
		padding: "0 9px 1px",
		borderTop: "2px solid",
		borderColor: "edge",
		whiteSpace: "nowrap",
		// On a swiped strip the day stays in sight with its places.
		"& > span": { position: "sticky", insetInlineStart: "9px" },
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
	// The place that is open is in sight, wherever the strip was swiped to.
	useEffect(() => {
		const { current } = strip;
		const open = current?.querySelector<HTMLElement>(`[data-place="${table.selected}"]`);
		if (!current || !open) return;
		const middle = open.offsetLeft - (current.clientWidth - open.offsetWidth) / 2;
		current.scrollTo({ left: middle, behavior: "instant" });
	}, [table.selected]);
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
		<Strip ref={strip} aria-label="The long table" onKeyDown={walk} data-scrolls>
			{runsOfDays(table.places).map(({ day, from, count }) => (
				<Bracket key={`${day} ${from}`} style={{ gridColumn: `${from + 1} / span ${count}` }} aria-hidden>
					<span>{day}</span>
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
					data-place={place.key}
				>
					<Tape>{place.label}</Tape>
					<PlaceFigure place={place} />
				</Place>
			))}
			<Service style={{ "--column": table.places.length + 1 } as CSSProperties}>
				<span>{service.time}</span>
				<span>{service.was === null ? service.day : `was ${service.was}`}</span>
			</Service>
		</Strip>
	);
}

function PlaceFigure({
	place: { figure, clock, time, was, misses, shown, at, task },
}: {
	readonly place: RipplingPlace;
}) {
	return (
		<>
			<Figure size="narrow" whiteSpace="nowrap">
				<span {...shownAs(shown)}>{figure}</span>
				{was?.figure ? <Was>{was.figure}</Was> : null}
			</Figure>
			<Clock>
				{/* The day stands over the places; a reader hears it with each. */}
				<span aria-hidden {...shownAs({ what: "start", of: task, value: at })}>
					{time}
				</span>
				<Hidden>{clock}</Hidden>
				{was?.clock ? <Was>{was.clock}</Was> : null}
			</Clock>
			{misses === null ? null : (
				<chakra.span fontWeight="700" lineHeight="1.2" whiteSpace="nowrap">
					▲ {misses}
				</chakra.span>
			)}
		</>
	);
}

/** The figure before the trial, after the new one and smaller: the strip does not grow by it. */
function Was({ children }: { readonly children: string }) {
	return (
		<chakra.span color="muted" fontWeight="500" fontSize="15px" fontStretch="75%">
			, was {children}
		</chakra.span>
	);
}
