import { type Static, type TProperties, Type } from "@sinclair/typebox";
import { sumBy } from "es-toolkit";
import { Covers, checked, refuse } from "../check/index.ts";
import type { Kitchen } from "../kitchen/index.ts";
import type { PanType } from "../pans/index.ts";
import { DAY_MS } from "../time/index.ts";

const Id = Type.String({ minLength: 1, maxLength: 120, allowed: "a short name of 1 to 120 characters" });
/** Years 2000 to 2100. */
const Instant = Type.Integer({
	minimum: 946_684_800_000,
	maximum: 4_102_444_800_000,
	allowed: "an instant between the years 2000 and 2100, ms since 1970",
});
const Degrees = Type.Integer({ minimum: 20, maximum: 350, allowed: "a temperature from 20 to 350 °C" });
/** Below it the surface stays in the zone that limits warn of; above it only the rim scorches. */
export const BraiseDegrees = Type.Integer({
	minimum: 80,
	maximum: 220,
	allowed: "a temperature from 80 to 220 °C",
});
export const Pieces = Type.Integer({ minimum: 1, maximum: 200, allowed: "a whole number from 1 to 200" });
const Rung = Type.Integer({
	minimum: 0,
	maximum: 59,
	allowed: "a rung from 0 to 59, counted from the bottom",
});

const change = <K extends string, F extends TProperties>(kind: K, fields: F) =>
	Type.Object({ kind: Type.Literal(kind), ...fields }, { additionalProperties: false });

/** What a change of each kind says. Instants are ms since 1970 UTC. */
const CHANGES = {
	/** An oven that is down, or a cook who is missing. */
	away: change("away", { equipment: Id, from: Instant, to: Instant }),
	/** A dish cooked the day before, or on the day. */
	ahead: change("ahead", { for: Id, ahead: Type.Boolean() }),
	/** So many more of a kind of pan, pot or tray, lent for the day. */
	borrowed: change("borrowed", { equipment: Id, count: Pieces }),
	/** So many more cooks, who help out. */
	helped: change("helped", { count: Pieces, from: Instant, to: Instant }),
	/** A dish that may be braised at another temperature than its card allows. */
	heat: change("heat", { for: Id, set_C: BraiseDegrees }),
	/** What a dish is made of comes later: nothing of it begins before. */
	arrives: change("arrives", { for: Id, at: Instant }),
	/** A sitting for so many covers. */
	covers: change("covers", { sitting: Id, covers: Covers }),
	/** The chef has settled when it starts; what waits in an oven, also where, how hot and on which rung. */
	pinned: change("pinned", {
		task: Id,
		start: Instant,
		oven: Type.Optional(Id),
		set_C: Type.Optional(Degrees),
		rung: Type.Optional(Rung),
	}),
	/** What was begun, and when it was over; null while it is running. */
	happened: change("happened", { task: Id, start: Instant, end: Type.Union([Instant, Type.Null()]) }),
	/** In which of several orders its dishes are placed: the newest that is told holds. */
	order: change("order", {
		order: Type.Integer({ minimum: 0, maximum: 63, allowed: "a whole number from 0 to 63" }),
	}),
} as const;

/** One fact of a day that is on nobody's card: it is planned around. */
export type DayChange = { [K in keyof typeof CHANGES]: Static<(typeof CHANGES)[K]> }[keyof typeof CHANGES];
export type ChangeOf<K extends DayChange["kind"]> = Extract<DayChange, { readonly kind: K }>;

/** So many changes on one day, no more. */
export const MOST_CHANGES = 60;

const LONGEST_AWAY_MS = 14 * DAY_MS;
const LONGEST_TASK_MS = 2 * DAY_MS;

/** A change as it was sent. @throws {Refusal} naming the field and what is allowed */
export function readChange(given: unknown): DayChange {
	const kind = typeof given === "object" && given !== null && "kind" in given ? given.kind : undefined;
	const schema = Object.entries(CHANGES).find(([name]) => name === kind)?.[1];
	if (!schema) throw refuse("kind", `one of ${Object.keys(CHANGES).join(", ")} is allowed`);
	const read = checked(schema, given) as DayChange;
	if ((read.kind === "away" || read.kind === "helped") && read.to <= read.from) {
		throw refuse("to", "it is not after the time that it begins; a later one is allowed");
	}
	if ((read.kind === "away" || read.kind === "helped") && read.to - read.from > LONGEST_AWAY_MS) {
		throw refuse("to", "it is more than 14 days after; at most 14 days are allowed");
	}
	if (read.kind === "happened" && read.end !== null && read.end < read.start) {
		throw refuse("end", "it is before the start; a later time is allowed");
	}
	if (read.kind === "happened" && read.end !== null && read.end - read.start > LONGEST_TASK_MS) {
		throw refuse("end", "it is more than two days after the start; at most two days are allowed");
	}
	return read;
}

/** The changes of one kind. */
export function changesOf<K extends DayChange["kind"]>(
	changes: readonly DayChange[],
	kind: K,
): ChangeOf<K>[] {
	return changes.filter((one): one is ChangeOf<K> => one.kind === kind);
}

/** The kitchen with what is lent to it. */
export function withBorrowed(kitchen: Kitchen, changes: readonly DayChange[]): Kitchen {
	const borrowed = changesOf(changes, "borrowed");
	if (borrowed.length === 0) return kitchen;
	const more = <T extends PanType>(types: readonly T[]) =>
		types.map((type) => ({
			...type,
			stock: type.stock + sumBy(borrowed, ({ equipment, count }) => (equipment === type.id ? count : 0)),
		}));
	const { pans, trays, pots, searPans, cookers = [] } = kitchen.equipment;
	return {
		...kitchen,
		equipment: {
			...kitchen.equipment,
			pans: more(pans),
			trays: more(trays),
			pots: more(pots),
			searPans: more(searPans),
			cookers: more(cookers),
		},
	};
}
