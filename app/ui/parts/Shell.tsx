import { chakra } from "@chakra-ui/react/styled-system";
import { type ReactNode, useEffect, useState } from "react";
import { Form, Link, NavLink, useLocation } from "react-router";
import { type ClockHours, clockTime } from "#core/time";
import { KeySheet } from "./KeySheet.tsx";
import { Hidden, Key } from "./parts.tsx";

const Bar = chakra("header", {
	base: { bg: "bar", borderBottom: "1px solid", borderColor: "hair" },
});
const Row = chakra("div", {
	base: {
		maxWidth: "1280px",
		marginInline: "auto",
		paddingInline: { base: "14px", md: "24px" },
		minHeight: "50px",
		display: "flex",
		flexWrap: "wrap",
		alignItems: "center",
		columnGap: { base: "14px", lg: "26px" },
	},
});
const Mark = chakra("span", {
	base: {
		fontFamily: "head",
		fontWeight: 800,
		fontStretch: "75%",
		fontSize: "22px",
		letterSpacing: "-.01em",
		whiteSpace: "nowrap",
		"& u": { textDecoration: "none", borderBottom: "4px solid", borderColor: "next", paddingBottom: "1px" },
	},
});
const Nav = chakra("nav", {
	base: {
		display: "flex",
		columnGap: { base: "2px", lg: "10px" },
		order: { base: 3, lg: 0 },
		width: { base: "100%", lg: "auto" },
		marginInline: { base: "-8px", lg: 0 },
	},
});
const Area = chakra(NavLink, {
	base: {
		display: "inline-flex",
		gap: "6px",
		alignItems: "center",
		justifyContent: "center",
		flex: { base: "1 1 0", lg: "none" },
		minHeight: { base: "48px", lg: "50px" },
		paddingInline: { base: "3px", lg: "8px" },
		color: "muted",
		textDecoration: "none",
		fontSize: { base: "16px", md: "17px" },
		borderBottom: "4px solid transparent",
		borderTop: "4px solid transparent",
		_hover: { color: "ink" },
		"&[aria-current=page]": { color: "ink", fontWeight: 650, borderBottomColor: "ink" },
	},
});
const Aside = chakra("div", {
	base: {
		marginInlineStart: "auto",
		display: "flex",
		alignItems: "center",
		columnGap: { base: "10px", lg: "16px" },
		color: "muted",
	},
});
const Switch = chakra("button", {
	base: {
		bg: "transparent",
		border: 0,
		padding: "8px 4px",
		minHeight: "44px",
		cursor: "pointer",
		color: "muted",
		textDecoration: "underline dotted",
		textUnderlineOffset: "4px",
		whiteSpace: "nowrap",
		_hover: { color: "ink" },
	},
});

const Desk = chakra(Link, {
	base: {
		minHeight: "44px",
		display: "inline-flex",
		alignItems: "center",
		gap: "4px",
		textUnderlineOffset: "4px",
		textDecoration: "underline dotted",
		maxWidth: "260px",
		overflow: "hidden",
		whiteSpace: "nowrap",
		_hover: { color: "ink" },
	},
});

const AREAS = [
	{ to: "/", name: "Today", key: "t" },
	{ to: "/book", name: "Book", key: "b" },
	{ to: "/sittings", name: "Sittings", key: "s" },
	{ to: "/records", name: "Records", key: "h" },
	{ to: "/lab", name: "Lab", key: "g" },
	{ to: "/kitchen", name: "Kitchen", key: "k" },
] as const;

export interface ShellView {
	readonly house: string;
	/** Whose changes are written down, when a name was given at this desk. */
	readonly who: string | null;
	readonly units: "metric" | "us";
	readonly light: "bench" | "evening";
	readonly timeZone: string;
	readonly clockHours: ClockHours;
	readonly now: number;
	/** The clock on the wall, as the server saw it. */
	readonly clock: string;
}

/** The bench: the areas, the house, its clock and its units, round every screen. */
export function Shell({ view, children }: { readonly view: ShellView; readonly children: ReactNode }) {
	return (
		<>
			<Bar className="screenOnly">
				<Row>
					<Mark>
						<u>Wide</u> Table
					</Mark>
					<Nav aria-label="Areas">
						{AREAS.map(({ to, name, key }) => (
							<Area key={to} to={to} end={to === "/"} aria-keyshortcuts={key}>
								{name}
								<Key aria-hidden>{key}</Key>
							</Area>
						))}
					</Nav>
					<Aside>
						<Desk to="/preferences" aria-keyshortcuts="d" data-key-name="At this desk">
							<chakra.span hideBelow="lg">{view.house}, </chakra.span>
							{view.who ?? "this desk"}
						</Desk>
						<Switches view={view} />
						<KeySheet />
						<WallClock view={view} />
					</Aside>
				</Row>
			</Bar>
			{children}
		</>
	);
}

function Switches({ view }: { readonly view: ShellView }) {
	const { pathname, search } = useLocation();
	const otherUnits = view.units === "metric" ? "us" : "metric";
	const otherLight = view.light === "bench" ? "evening" : "bench";
	return (
		<chakra.span hideBelow="sm" asChild>
			<Form method="post" action="/preferences" preventScrollReset>
				<input type="hidden" name="back" value={pathname + search} />
				<Switch name="units" value={otherUnits} aria-keyshortcuts="u" data-key-name="Change units">
					<Hidden>Change units from </Hidden>
					{view.units === "metric" ? "kg · l · °C" : "lb · qt · °F"}
				</Switch>
				<Switch name="light" value={otherLight} aria-keyshortcuts="e" data-key-name="Change light">
					{view.light === "bench" ? "Evening" : "Daylight"}
				</Switch>
			</Form>
		</chakra.span>
	);
}

/** The house's clock; it goes on ticking where scripts run. */
function WallClock({ view }: { readonly view: ShellView }) {
	const [clock, setClock] = useState(view.clock);
	useEffect(() => {
		const { timeZone, clockHours } = view;
		const skew = view.now - Date.now();
		const tick = () => setClock(clockTime(Date.now() + skew, { timeZone, clockHours }));
		tick();
		const timer = setInterval(tick, 5000);
		return () => clearInterval(timer);
	}, [view]);
	return (
		<chakra.b color="ink" fontWeight="650" fontSize="18px" aria-label={`House time ${clock}`} role="img">
			{clock}
		</chakra.b>
	);
}
