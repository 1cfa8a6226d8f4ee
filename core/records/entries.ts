import { type Static, type TObject, Type } from "@sinclair/typebox";
import { Celsius, checked, Name, oneOf } from "../check/index.ts";
import { ChillGiven } from "../chill/index.ts";
import { ALLERGEN_NAMES } from "../recipe/index.ts";
import { DEGREE_UNITS } from "../safety/index.ts";
import { COURSES } from "../watch/index.ts";

/**
 * What is written into the kitchen's record: what was delivered, what was made of it, what was
 * watched, what was done about it. Written once and never changed; a correction is written after it.
 */

const Words = (most: number) => Type.String({ maxLength: most, allowed: `up to ${most} characters` });
const Number_ = Type.Integer({ minimum: 1, maximum: 1_000_000_000, allowed: "a number of the record" });
const Instant = Type.Integer({ minimum: 0, maximum: 8_640_000_000_000, allowed: "a moment" });
const Day = Type.String({ pattern: "^\\d{4}-\\d{2}-\\d{2}$", allowed: "a day" });
const Weight_kg = Type.Number({
	exclusiveMinimum: 0,
	maximum: 5000,
	allowed: "a weight above 0 and up to 5,000 kg",
});
const Depth_mm = Type.Number({ minimum: 5, maximum: 600, allowed: "a depth from 5 to 600 mm" });
/** "A1": as it stands on the pan's tape. */
const Tag = Type.String({
	pattern: "^[A-Za-z0-9]{1,8}$",
	allowed: "a pan's tag of letters and digits, up to 8",
});
/** The name a probe gives itself. */
export const ProbeName = Type.String({
	pattern: "^[A-Za-z0-9._-]{1,24}$",
	allowed: "a probe's name of letters, digits, dots and dashes, up to 24",
});
/** What a probe or a hand may read, °C. */
export const Read_C = Type.Number({
	minimum: -60,
	maximum: 400,
	allowed: "a temperature from −60 to 400 °C",
});

const Fahrenheit = Type.Number({ minimum: -80, maximum: 760, allowed: "a temperature from −80 to 760 °F" });
/** In which it was read; °C where it is absent. */
const Unit = Type.Optional(oneOf(DEGREE_UNITS));

const Cooling = Type.Object({
	from_C: Type.Union([Celsius, Type.Null()]),
	standing_min: Type.Integer({ minimum: 0, maximum: 1440 }),
	to: Type.Array(Type.Object({ to_C: Celsius, within_min: Type.Integer({ minimum: 1, maximum: 10_000 }) }), {
		minItems: 1,
		maxItems: 4,
	}),
});

/** The limits in force when it was watched: kept with it, whatever the house works to later. */
const CodeInForce = Type.Object({
	name: Name,
	source: Words(200),
	dated: Words(40),
	cooling: Cooling,
	holdHot_C: Celsius,
	keepCold_C: Celsius,
	reheat: Type.Object({
		core_C: Celsius,
		within_min: Type.Union([Type.Integer({ minimum: 1 }), Type.Null()]),
	}),
	limits_F: Type.Optional(
		Type.Union([
			Type.Object({
				from: Type.Union([Fahrenheit, Type.Null()]),
				to: Type.Array(Fahrenheit, { minItems: 1, maxItems: 4 }),
				holdHot: Fahrenheit,
				keepCold: Fahrenheit,
				reheat: Fahrenheit,
			}),
			Type.Null(),
		]),
	),
	onlyF: Type.Optional(Type.Boolean()),
});

/** A pan of food: how it stands and where. */
export const LotPan = Type.Object({
	tag: Tag,
	vessel: Name,
	depth_mm: Depth_mm,
	kg: Weight_kg,
});
export type LotPan = Static<typeof LotPan>;

const Delivered = Type.Object({
	kind: Type.Literal("delivery"),
	delivery: Number_,
	ingredientId: Type.String({ minLength: 1, maxLength: 80 }),
	name: Name,
	supplier: Words(80),
	/** What the supplier calls it. */
	supplierLot: Words(60),
	kg: Weight_kg,
	/** As it was measured at the door; null where nobody measured. */
	C: Type.Union([Read_C, Type.Null()]),
	useBy: Type.Union([Day, Type.Null()]),
	accepted: Type.Boolean(),
	note: Words(400),
	/** What stands on this brand's packet; absent where nobody has read it. */
	packet: Type.Optional(
		Type.Object({
			contains: Type.Array(oneOf(ALLERGEN_NAMES), { maxItems: ALLERGEN_NAMES.length }),
			mayContain: Type.Array(oneOf(ALLERGEN_NAMES), { maxItems: ALLERGEN_NAMES.length }),
		}),
	),
});

const Made = Type.Object({
	kind: Type.Literal("lot"),
	lot: Number_,
	dish: Name,
	sittingId: Words(40),
	dishId: Words(40),
	sitting: Words(120),
	/** Day on which it was made, in the house's calendar. */
	made: Day,
	portions: Type.Integer({ minimum: 1, maximum: 100_000, allowed: "portions from 1 to 100,000" }),
	pans: Type.Array(LotPan, { minItems: 1, maxItems: 200, allowed: "1 to 200 pans" }),
	place: Words(80),
	/** Whole: what is in it, and what it declares, are never cut. */
	contents: Words(20_000),
	/** As it was worded when it was made; what it declares now follows from `declares` and what is in it. */
	allergens: Words(20_000),
	/** What it declared when it was made, with what brings it; null where nobody knows, absent in older lots. */
	declares: Type.Optional(
		Type.Union([
			Type.Array(
				Type.Object({
					allergen: oneOf(ALLERGEN_NAMES),
					presence: oneOf(["contains", "mayContain", "notKnown"] as const),
					from: Type.Array(Words(400), { maxItems: 400 }),
				}),
				{ maxItems: ALLERGEN_NAMES.length },
			),
			Type.Null(),
		]),
	),
	/** Short names of all that is bought and in it, through what is made in the house. */
	ingredients: Type.Optional(Type.Array(Type.String({ minLength: 1, maxLength: 80 }), { maxItems: 2000 })),
	reheat: Words(300),
	/** Numbers of the deliveries it was made from. */
	from: Type.Array(Number_, { maxItems: 200 }),
	/** Numbers of the lots it was made from. */
	fromLots: Type.Optional(Type.Array(Number_, { maxItems: 200 })),
	/** How it was cooked through after that, where it was: it then begins days of its own. */
	cookedThrough: Type.Optional(Words(200)),
	/** Days it keeps, by the house's own rule, the day it is made counted. */
	keeps: Type.Object({
		chilled_days: Type.Integer(),
		frozen_days: Type.Integer(),
		opened_days: Type.Integer(),
		thawed_days: Type.Optional(Type.Integer()),
	}),
	/** Last day of the earliest of the lots that it was made from; it keeps no longer than that. */
	notAfter: Type.Optional(Type.Union([Day, Type.Null()])),
});

const WatchBegun = Type.Object({
	kind: Type.Literal("watch"),
	watch: Number_,
	lot: Number_,
	tag: Tag,
	course: oneOf(COURSES),
	probe: Type.Union([ProbeName, Type.Null()]),
	code: CodeInForce,
	/** How it is cooled, as far as is known: what the way ahead is read from. */
	cooling: Type.Unsafe<ChillGiven | null>(Type.Union([ChillGiven, Type.Null()])),
	/** When the code's clock began: it was lifted, or watched before. */
	clockFrom: Instant,
	/** The watch that it goes on from. */
	continues: Type.Union([Number_, Type.Null()]),
});

/** Another probe reads for it from then on, or none. */
const ProbeChanged = Type.Object({
	kind: Type.Literal("probe"),
	watch: Number_,
	lot: Number_,
	probe: Type.Union([ProbeName, Type.Null()]),
});

const WatchEnded = Type.Object({ kind: Type.Literal("ended"), watch: Number_, lot: Number_ });

/** What is done about food that is, or will be, outside its limits. */
export const ACTIONS = [
	"spread",
	"iceBath",
	"blast",
	"stirred",
	"hotter",
	"reheated",
	"measured",
	"probeChanged",
	"usedNow",
	"discarded",
	"asked",
] as const;
export type Action = (typeof ACTIONS)[number];

const Acted = Type.Object({
	kind: Type.Literal("action"),
	watch: Type.Union([Number_, Type.Null()]),
	lot: Number_,
	action: oneOf(ACTIONS),
	note: Words(400),
});

const Corrected = Type.Object({
	kind: Type.Literal("correction"),
	/** A reading by its number, an entry of the record by its own, or all that the probe of a watch has read. */
	of: oneOf(["reading", "entry", "probe"] as const),
	number: Number_,
	lot: Number_,
	watch: Type.Union([Number_, Type.Null()]),
	/** What a reading should have been; null where it does not count. */
	C: Type.Union([Read_C, Type.Null()]),
	unit: Unit,
	reason: Type.String({ minLength: 3, maxLength: 400, allowed: "a reason of 3 to 400 characters" }),
});

/** The food of one pan spread over several, so that it lies shallower. */
const Spread = Type.Object({
	kind: Type.Literal("spread"),
	lot: Number_,
	tag: Tag,
	parts: Type.Integer({ minimum: 2, maximum: 4, allowed: "2 to 4 pans" }),
	depth_mm: Depth_mm,
});

/** What a passport says of a pan: it may be used, nobody uses it until somebody decides, or it is thrown away. */
export const RELEASES = ["released", "blocked", "discard"] as const;
export type Release = (typeof RELEASES)[number];

/** What becomes of a lot after it was cooled. */
export const STAGES = ["moved", "frozen", "thawing", "opened", "served", "discarded"] as const;
export type Stage = (typeof STAGES)[number];

const Staged = Type.Object({
	kind: Type.Literal("stage"),
	lot: Number_,
	stage: oneOf(STAGES),
	/** Which pans; none where it is all of them. */
	tags: Type.Array(Tag, { maxItems: 200 }),
	place: Words(80),
	note: Words(400),
	/** Where it was served. */
	sittingId: Type.Optional(Words(40)),
	sitting: Type.Optional(Words(120)),
});

/** A use-by that was wrong, and what it is. Whoever writes it signs for it. */
const Dated = Type.Object({
	kind: Type.Literal("dated"),
	lot: Number_,
	tags: Type.Array(Tag, { maxItems: 200 }),
	useBy: Day,
	reason: Type.String({ minLength: 3, maxLength: 400, allowed: "a reason of 3 to 400 characters" }),
});

/** What should have been written in place of an entry; both stay, and the later one counts. */
const Instead = Type.Object({
	kind: Type.Literal("instead"),
	/** Its number. */
	of: Number_,
	/** The lot that it is about; null for a delivery. */
	lot: Type.Union([Number_, Type.Null()]),
	doc: Type.Union([Delivered, Made, Staged]),
	reason: Type.String({ minLength: 3, maxLength: 400, allowed: "a reason of 3 to 400 characters" }),
});

/** Labels as they were printed: what stands on each pan until others are stuck over them. */
const Labelled = Type.Object({
	kind: Type.Literal("labels"),
	lot: Number_,
	labels: Type.Array(
		Type.Object({
			tag: Tag,
			release: oneOf(RELEASES),
			cooling: Type.Boolean(),
			useBy: Day,
			allergens: Words(20_000),
		}),
		{ minItems: 1, maxItems: 800 },
	),
});

export const RecordDoc = Type.Union([
	Delivered,
	Made,
	WatchBegun,
	ProbeChanged,
	WatchEnded,
	Acted,
	Corrected,
	Spread,
	Staged,
	Dated,
	Instead,
	Labelled,
]);
export type RecordDoc = Static<typeof RecordDoc>;
export type RecordKind = RecordDoc["kind"];
export type DocOf<K extends RecordKind> = Extract<RecordDoc, { kind: K }>;

const SHAPES: { readonly [K in RecordKind]: TObject } = {
	delivery: Delivered,
	lot: Made,
	watch: WatchBegun,
	probe: ProbeChanged,
	ended: WatchEnded,
	action: Acted,
	correction: Corrected,
	spread: Spread,
	stage: Staged,
	dated: Dated,
	instead: Instead,
	labels: Labelled,
};

/** An entry as it may be written. @throws {Refusal} naming the field and what is allowed */
export function checkedDoc<K extends RecordKind>(doc: DocOf<K>): DocOf<K> {
	return checked(SHAPES[doc.kind], doc) as DocOf<K>;
}

interface EntryOf<K extends RecordKind> {
	/** Its place in the record, from 1. */
	readonly number: number;
	/** When it was so, as whoever wrote it says. */
	readonly at: number;
	/** When it was written. */
	readonly writtenAt: number;
	readonly who: string;
	readonly doc: DocOf<K>;
}

/** An entry as it stands in the record, of some kind or of any. */
export type RecordEntry<K extends RecordKind = RecordKind> = K extends RecordKind ? EntryOf<K> : never;

/** Those of one kind, in order. */
export function ofKind<K extends RecordKind>(entries: readonly RecordEntry[], kind: K): RecordEntry<K>[] {
	return entries.filter(({ doc }) => doc.kind === kind) as RecordEntry<K>[];
}
