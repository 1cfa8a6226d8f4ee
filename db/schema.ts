import { sql } from "drizzle-orm";
import {
	customType,
	index,
	integer,
	primaryKey,
	real,
	sqliteTable,
	text,
	uniqueIndex,
} from "drizzle-orm/sqlite-core";
import { USUAL_CONFIDENCE } from "#core/braise";
import type { DayChange, GivenEvent, IssuedDay, StandingPlace } from "#core/day";
import type { ByProductUses, ByProductWorth, CarryChoice, ChillChoice, ColourWay } from "#core/dish";
import type { PanMaterial, PanUse } from "#core/kitchen";
import type { FanSpeed, OvenKind } from "#core/ovens";
import type { GastronormSize, LiquidLine, PanWish } from "#core/pans";
import type { UnitSystem } from "#core/quantity";
import type {
	Allergen,
	AllergenListKey,
	CategoryKey,
	DietCount,
	Draft,
	Fall,
	Origin,
	Preparation,
	Recipe,
	RecipeState,
	Supplier,
	Swap,
} from "#core/recipe";
import { readDoc } from "#core/recipe";
import { type RecordKind, USUAL_KEEPS } from "#core/records";
import {
	type Cooling,
	type DegreeUnit,
	type HouseCode,
	type KillTableKey,
	type Life,
	type LimitsF,
	USUAL_COMING_UP_MIN,
	USUAL_LIFE,
} from "#core/safety";
import type { CookChoice, DishShare, GuestSizes } from "#core/sitting";
import type { TaskPlace } from "#core/tasks";
import type { Cut } from "#core/trade";
import type { Answer, Quantity, Change as TrainingChange } from "#core/training";

/**
 * Facts only. Plans are derived from these and never stored. Weights are grams, lengths
 * millimetres, temperatures °C, money whole minor units, instants milliseconds since
 * 1970 in UTC. `version` counts the changes of a row, so that nobody overwrites unseen.
 */

/** A recipe document: read by the one reader that knows every format it was ever stored in. */
const recipeDoc = customType<{ data: Recipe | Preparation; driverData: string }>({
	dataType: () => "text",
	toDriver: (doc) => JSON.stringify(doc),
	fromDriver: (stored) => readDoc(JSON.parse(stored)),
});

/** A hash: 32 bytes where it is kept, hexadecimal where it is read. */
const sha256 = customType<{ data: string; driverData: ArrayBuffer | Uint8Array }>({
	dataType: () => "blob",
	toDriver: (hash) => Buffer.from(hash, "hex"),
	fromDriver: (stored) => Buffer.from(stored as ArrayBuffer).toString("hex"),
});

/** Bytes of any length. */
const bytes = customType<{ data: Uint8Array; driverData: ArrayBuffer | Uint8Array }>({
	dataType: () => "blob",
	fromDriver: (stored) => new Uint8Array(stored as ArrayBuffer),
});

const version = () => integer("version").notNull().default(1);

export const house = sqliteTable("house", {
	id: text("id").primaryKey(),
	name: text("name").notNull(),
	/** IANA name. */
	timeZone: text("time_zone").notNull(),
	units: text("units").$type<UnitSystem>().notNull(),
	/** ISO 4217 code. */
	currency: text("currency").notNull(),
	/** Working day, minutes after midnight. */
	opens_min: integer("opens_min").notNull(),
	closes_min: integer("closes_min").notNull(),
	headspace_mm: integer("headspace_mm").notNull(),
	liftLimit_g: integer("lift_limit_g").notNull(),
	/** A preset by its key, or a row of `house_code`. */
	houseCode: text("house_code").notNull(),
	searPanId: text("sear_pan_id").references(() => panType.id),
	burners: integer("burners").notNull(),
	/** Heat of one burner that reaches the pot, W. */
	hobPower_w: integer("hob_power_w").notNull().default(3000),
	allergenList: text("allergen_list").$type<AllergenListKey>().notNull().default("eu14"),
	/** What the kitchen's scales read to. */
	scaleStep_g: integer("scale_step_g").notNull().default(1),
	/** Salt wanted in the finished sauce, % of its weight. */
	saltLow_pct: real("salt_low_pct").notNull().default(0.8),
	saltHigh_pct: real("salt_high_pct").notNull().default(1.2),
	/** Days in a hundred on which a dish has to be tender by the time it is lifted. */
	confidence_pct: integer("confidence_pct")
		.notNull()
		.default(USUAL_CONFIDENCE * 100),
	/** Height above the sea, m: the boil follows it. */
	altitude_m: integer("altitude_m").notNull().default(0),
	/** Days that what was made ahead keeps, the first counted: chilled, frozen, once it is opened. */
	chilled_days: integer("chilled_days").notNull().default(USUAL_KEEPS.chilled_days),
	frozen_days: integer("frozen_days").notNull().default(USUAL_KEEPS.frozen_days),
	opened_days: integer("opened_days").notNull().default(USUAL_KEEPS.opened_days),
	/** What a kilo of what is left of a dish is worth, minor units. */
	byProductWorth: text("by_product_worth", { mode: "json" }).$type<ByProductWorth>().notNull().default({}),
	version: version(),
});

export const panType = sqliteTable("pan_type", {
	id: text("id").primaryKey(),
	name: text("name").notNull(),
	kind: text("kind").$type<"gn" | "round" | "box">().notNull(),
	gn: text("gn").$type<GastronormSize>(),
	length_mm: integer("length_mm"),
	width_mm: integer("width_mm"),
	diameter_mm: integer("diameter_mm"),
	depth_mm: integer("depth_mm").notNull(),
	stock: integer("stock").notNull(),
	/** Water it was measured with, up to two marks; none where it is known by its sizes. */
	lowMark_mm: integer("low_mark_mm"),
	lowMark_ml: integer("low_mark_ml"),
	highMark_mm: integer("high_mark_mm"),
	highMark_ml: integer("high_mark_ml"),
	/** Heat of its own, W; null where it stands on the hob. */
	heat_w: integer("heat_w"),
	/** What it is for, and whether it is a cooker or a bath. */
	use: text("use").$type<PanUse>().notNull(),
	material: text("material").$type<PanMaterial>().notNull().default("steel"),
	retired: integer("retired", { mode: "boolean" }).notNull().default(false),
	version: version(),
});

export const oven = sqliteTable("oven", {
	id: text("id").primaryKey(),
	name: text("name").notNull(),
	kind: text("kind").$type<OvenKind>().notNull(),
	rungs: integer("rungs").notNull(),
	pitch_mm: integer("pitch_mm").notNull(),
	shelf: text("shelf").$type<GastronormSize>().notNull(),
	min_C: integer("min_c").notNull(),
	max_C: integer("max_c").notNull(),
	/** On its rating plate, W; null when nobody has looked. */
	power_w: integer("power_w"),
	/** How much hotter its air is than it says, K. */
	runsHot_K: real("runs_hot_k").notNull().default(0),
	fan: text("fan").$type<FanSpeed>().notNull().default("usual"),
	/** Opened to look, times an hour; null where it is as usual. */
	opened_h: real("opened_h"),
	retired: integer("retired", { mode: "boolean" }).notNull().default(false),
	version: version(),
});

/** Somebody who works in the kitchen. */
export const cook = sqliteTable("cook", {
	id: text("id").primaryKey(),
	name: text("name").notNull(),
	/** Working day, minutes after midnight; more than a day where it ends after midnight. */
	opens_min: integer("opens_min").notNull(),
	closes_min: integer("closes_min").notNull(),
	/** Places of the table where they work; none: at every one. */
	does: text("does", { mode: "json" }).$type<TaskPlace[]>().notNull().default([]),
	retired: integer("retired", { mode: "boolean" }).notNull().default(false),
	version: version(),
});

/** Where food or plates stand: a chiller by pans, a fridge by litres, a warmer by plates. */
export const standingPlace = sqliteTable("standing_place", {
	id: text("id").primaryKey(),
	name: text("name").notNull(),
	kind: text("kind").$type<StandingPlace["kind"]>().notNull(),
	capacity: integer("capacity").notNull(),
	/** How cold the air of a chiller or a fridge is, °C; null where it is the usual. */
	air_C: integer("air_c"),
	/** Heat that it takes away, W; null where nobody has read its plate. */
	power_w: integer("power_w"),
	/** Kilos from 90 to 3 °C in 90 min, in open pans 50 mm deep; null where its plate says nothing. */
	rated_kg: real("rated_kg"),
	/** Heat that an insulated box loses, W/K; null where it is the usual. */
	loses_W_per_K: real("loses_w_per_k"),
	retired: integer("retired", { mode: "boolean" }).notNull().default(false),
	version: version(),
});

/** Limits of the house's own, often a preset with other figures. */
export const houseCode = sqliteTable("house_code", {
	id: text("id").primaryKey(),
	name: text("name").notNull(),
	source: text("source").notNull(),
	dated: text("dated").notNull(),
	cooling: text("cooling", { mode: "json" }).$type<Cooling>().notNull(),
	comingUp_min: integer("coming_up_min").notNull().default(USUAL_COMING_UP_MIN),
	kill: text("kill").$type<KillTableKey>().notNull().default("seventy"),
	holdHot_C: real("hold_hot_c").notNull(),
	keepCold_C: real("keep_cold_c").notNull().default(5),
	display_C: real("display_c").notNull().default(5),
	reheat: text("reheat", { mode: "json" }).$type<HouseCode["reheat"]>().notNull(),
	life: text("life", { mode: "json" }).$type<Life>().notNull().default(USUAL_LIFE),
	/** As its rule writes them in °F; null where it writes °C alone. */
	limits_F: text("limits_f", { mode: "json" }).$type<LimitsF>(),
	onlyF: integer("only_f", { mode: "boolean" }).notNull().default(false),
	retired: integer("retired", { mode: "boolean" }).notNull().default(false),
	version: version(),
});

/** What is told of a day that is on no card: only ever added to; what is taken back is told so. */
export const dayChange = sqliteTable(
	"day_change",
	{
		id: integer("id").primaryKey({ autoIncrement: true }),
		/** Day of the house's calendar, "2026-12-05". */
		date: text("date").notNull(),
		change: text("change", { mode: "json" }).$type<DayChange>(),
		/** The one that it takes back; then it says nothing else. */
		takesBack: integer("takes_back"),
		at: integer("at").notNull(),
		who: text("who").notNull(),
	},
	(table) => [index("day_change_date").on(table.date)],
);

/** Tasks as calendars were given them: each keeps how often it was changed since, and whether it is gone. */
export const calendarEvent = sqliteTable(
	"calendar_event",
	{
		uid: text("uid").notNull(),
		/** Day of the house's calendar, "2026-12-05". */
		date: text("date").notNull(),
		doc: text("doc", { mode: "json" }).$type<GivenEvent>().notNull(),
	},
	(table) => [primaryKey({ columns: [table.date, table.uid] })],
);

/** A day frozen under a number with all that it was made from: never changed, never removed. */
export const dayIssue = sqliteTable(
	"day_issue",
	{
		number: integer("number").primaryKey({ autoIncrement: true }),
		date: text("date").notNull(),
		doc: text("doc", { mode: "json" }).$type<IssuedDay>().notNull(),
		at: integer("at").notNull(),
		who: text("who").notNull(),
	},
	(table) => [index("day_issue_date").on(table.date)],
);

/** All that the papers of a number are written from, as it was: figures and what they follow from, compressed. */
export const dayFigures = sqliteTable("day_figures", {
	number: integer("number")
		.primaryKey()
		.references(() => dayIssue.number),
	doc: bytes("doc").notNull(),
});

/** Dates as they were placed, by the mark of all they were placed from: what is lost here is placed again. */
export const placedDate = sqliteTable("placed_date", {
	/** Of the build that placed it, and of what it was placed from. */
	mark: text("mark").primaryKey(),
	at: integer("at").notNull(),
	asIssued: integer("as_issued", { mode: "boolean" }).notNull(),
	/** Compressed, as with a number. */
	doc: bytes("doc").notNull(),
});

export const ingredient = sqliteTable("ingredient", {
	/** Slug, as recipes name it. */
	id: text("id").primaryKey(),
	name: text("name").notNull(),
	category: text("category").$type<CategoryKey>().notNull().default("vegetable"),
	cut: text("cut").$type<Cut>(),
	/** None where the category says it. */
	origins: text("origins", { mode: "json" }).$type<Origin[]>().notNull().default([]),
	/** None where the category says it. */
	supplier: text("supplier").$type<Supplier>(),
	density_g_per_ml: real("density_g_per_ml"),
	each_g: real("each_g"),
	trimLoss: real("trim_loss").notNull().default(0),
	/** What it does in a pan, where that is another than its name and category say. */
	givesWater: real("gives_water"),
	takesRoom: integer("takes_room", { mode: "boolean" }),
	salt_pct: real("salt_pct"),
	/** Whether its allergens are described: only then is it free of those it does not name. */
	described: integer("described", { mode: "boolean" }).notNull().default(true),
	allergens: text("allergens", { mode: "json" }).$type<Allergen[]>().notNull(),
	mayContain: text("may_contain", { mode: "json" }).$type<Allergen[]>().notNull().default([]),
	/** Usual pack. */
	pack_g: integer("pack_g"),
	/** The ingredient it was merged into; recipes that name this one mean that one. */
	mergedInto: text("merged_into"),
	version: version(),
});

/** What a pack cost from a day on: only ever added to; the newest that has begun holds. */
export const ingredientPrice = sqliteTable(
	"ingredient_price",
	{
		id: integer("id").primaryKey({ autoIncrement: true }),
		ingredientId: text("ingredient_id")
			.notNull()
			.references(() => ingredient.id),
		pack_g: integer("pack_g").notNull(),
		price_minor: integer("price_minor").notNull(),
		from: integer("from").notNull(),
		who: text("who").notNull(),
	},
	(table) => [index("ingredient_price_from").on(table.ingredientId, table.from)],
);

export const recipe = sqliteTable("recipe", {
	/** Slug, in the address. */
	id: text("id").primaryKey(),
	kind: text("kind").$type<"dish" | "preparation">().notNull().default("dish"),
	/** Price on the menu, minor units; none until it is known. */
	menuPrice_minor: integer("menu_price_minor"),
	createdAt: integer("created_at").notNull(),
	version: version(),
});

/** Numbered versions that never change: the database refuses it. */
export const recipeVersion = sqliteTable(
	"recipe_version",
	{
		id: text("id").primaryKey(),
		recipeId: text("recipe_id")
			.notNull()
			.references(() => recipe.id),
		number: integer("number").notNull(),
		doc: recipeDoc("doc").notNull(),
		createdAt: integer("created_at").notNull(),
		createdBy: text("created_by").notNull(),
		/** Why it was written. */
		reason: text("reason").notNull().default(""),
	},
	(table) => [uniqueIndex("recipe_version_number").on(table.recipeId, table.number)],
);

/** The life of a version: only ever added to; the newest row holds. */
export const recipeState = sqliteTable(
	"recipe_state",
	{
		id: integer("id").primaryKey({ autoIncrement: true }),
		recipeVersionId: text("recipe_version_id")
			.notNull()
			.references(() => recipeVersion.id),
		state: text("state").$type<RecipeState>().notNull(),
		at: integer("at").notNull(),
		who: text("who").notNull(),
		reason: text("reason").notNull().default(""),
	},
	(table) => [index("recipe_state_version").on(table.recipeVersionId, table.id)],
);

/** What is being written, one a recipe; it is nobody's plan yet. */
export const recipeDraft = sqliteTable("recipe_draft", {
	/** The recipe's own slug, or the one it will have. */
	recipeId: text("recipe_id").primaryKey(),
	doc: text("doc", { mode: "json" }).$type<Draft>().notNull(),
	/** The number it was started from; none for a new recipe. */
	basedOn: integer("based_on"),
	at: integer("at").notNull(),
	who: text("who").notNull(),
	version: version(),
});

export const sitting = sqliteTable(
	"sitting",
	{
		id: text("id").primaryKey(),
		name: text("name").notNull(),
		room: text("room").notNull(),
		serviceAt: integer("service_at").notNull(),
		covers: integer("covers").notNull(),
		/** Cooks who work side by side. */
		hands: integer("hands").notNull(),
		note: text("note").notNull().default(""),
		/** Guests counted by diet. */
		diets: text("diets", { mode: "json" }).$type<DietCount[]>().notNull().default([]),
		/** Another house code than the house's, and why; null where the house's holds. */
		houseCode: text("house_code"),
		codeReason: text("code_reason").notNull().default(""),
		/** How its food is carried elsewhere; null where it is served where it is cooked. */
		carry: text("carry", { mode: "json" }).$type<CarryChoice>(),
		/** Guests who do not eat one portion each; null where all are alike. */
		guests: text("guests", { mode: "json" }).$type<GuestSizes>(),
		/** Grams of what is in the house already and is not ordered, as purchased, by ingredient. */
		inHouse_g: text("in_house", { mode: "json" }).$type<Record<string, number>>().notNull().default({}),
		calledOff: integer("called_off", { mode: "boolean" }).notNull().default(false),
		version: version(),
	},
	(table) => [index("sitting_service_at").on(table.serviceAt)],
);

export const sittingDish = sqliteTable(
	"sitting_dish",
	{
		id: text("id").primaryKey(),
		sittingId: text("sitting_id")
			.notNull()
			.references(() => sitting.id),
		recipeVersionId: text("recipe_version_id")
			.notNull()
			.references(() => recipeVersion.id),
		position: integer("position").notNull(),
		/** Shares, 0 to 1. */
		uptake: real("uptake").notNull(),
		spare: real("spare").notNull(),
		basis: text("basis").$type<"covers" | "onHand" | "pans">().notNull().default("covers"),
		onHand_g: integer("on_hand_g"),
		panCount: integer("pan_count"),
		panTypeId: text("pan_type_id").references(() => panType.id),
		/** Pans the chef has settled: so many of a kind, none to keep it for others. */
		panWishes: text("pan_wishes", { mode: "json" }).$type<PanWish[]>().notNull().default([]),
		/** A liquid line other than the card's. */
		line: text("line", { mode: "json" }).$type<LiquidLine>(),
		/** Where the pieces get their colour, when the chef has settled it. */
		colour: text("colour").$type<ColourWay>(),
		/** Cooked the day before or the same day, when the chef has settled it. */
		ahead: integer("ahead", { mode: "boolean" }),
		/** How it is cooled, when the chef has settled it. */
		chill: text("chill", { mode: "json" }).$type<ChillChoice>(),
		/** How it is made tender, when the chef has settled it. */
		cook: text("cook", { mode: "json" }).$type<CookChoice>(),
		/** Who takes it, where that is so many guests or the rest; null where it is the uptake. */
		share: text("share", { mode: "json" }).$type<DishShare>(),
		/** What lines are made with in place of what the card says. */
		swaps: text("swaps", { mode: "json" }).$type<Swap[]>().notNull().default([]),
		/** Where what is left of it goes. */
		byProducts: text("by_products", { mode: "json" }).$type<ByProductUses>().notNull().default({}),
	},
	(table) => [index("sitting_dish_sitting").on(table.sittingId, table.position)],
);

/** Who changed what, when: only ever added to; the database refuses anything else. */
export const event = sqliteTable(
	"event",
	{
		id: integer("id").primaryKey({ autoIncrement: true }),
		at: integer("at").notNull().default(sql`(unixepoch() * 1000)`),
		who: text("who").notNull(),
		subject: text("subject").$type<EventSubject>().notNull(),
		subjectId: text("subject_id").notNull(),
		what: text("what").$type<EventWhat>().notNull(),
		/** Version of the subject after it. */
		version: integer("version").notNull(),
		changes: text("changes", { mode: "json" }).$type<Change[]>().notNull(),
	},
	(table) => [index("event_subject").on(table.subject, table.subjectId, table.version)],
);

/**
 * What was declared less of from then on, confirmed by name, or merged or taken in, with what was there
 * before: only ever added to; what is taken back is told so.
 */
export const declarationChange = sqliteTable("declaration_change", {
	id: integer("id").primaryKey({ autoIncrement: true }),
	at: integer("at").notNull(),
	who: text("who").notNull(),
	/** The name that was typed under it; empty where nothing fell. */
	confirmedBy: text("confirmed_by").notNull(),
	/** What was done, in words. */
	what: text("what").notNull(),
	lowered: text("lowered", { mode: "json" }).$type<Lowered[]>().notNull(),
	/** What it was before; null where it takes another one back. */
	before: text("before", { mode: "json" }).$type<DeclaredBefore>(),
	takesBack: integer("takes_back"),
});

/** A thing of which less is declared than before. */
export interface Lowered {
	readonly kind: "ingredient" | "preparation" | "dish" | "sitting" | "lot" | "house";
	readonly id: string;
	readonly name: string;
	/** The sitting of a dish; empty elsewhere. */
	readonly where: string;
	readonly falls: readonly Fall[];
}

/** How things were before something was changed, and how they were after it. */
export interface DeclaredBefore {
	readonly ingredients: readonly {
		readonly before: Readonly<Record<string, unknown>> & { readonly id: string };
		readonly after: Readonly<Record<string, unknown>>;
	}[];
	/** Versions in use, by recipe; null where there was none. */
	readonly versions: readonly {
		readonly recipe: string;
		readonly before: number | null;
		readonly after: number;
	}[];
	readonly dishes: readonly {
		readonly sitting: string;
		readonly dish: string;
		readonly before: { readonly swaps: readonly Swap[]; readonly recipeVersionId: string };
	}[];
	readonly list: AllergenListKey | null;
}

/** What a cook said in a training round and what it was: one row a quantity, only ever added to. */
export const trainingAnswer = sqliteTable(
	"training_answer",
	{
		id: integer("id").primaryKey({ autoIncrement: true }),
		at: integer("at").notNull().default(sql`(unixepoch() * 1000)`),
		who: text("who").notNull(),
		/** The round it was drawn by, and its place in the round. */
		seed: integer("seed").notNull(),
		position: integer("position").notNull(),
		change: text("change").$type<TrainingChange>().notNull(),
		quantity: text("quantity").$type<Quantity>().notNull(),
		said: text("said").$type<Answer>().notNull(),
		was: text("was").$type<Answer>().notNull(),
	},
	(table) => [uniqueIndex("training_answer_once").on(table.who, table.seed, table.position, table.quantity)],
);

/**
 * What was delivered, made, watched and done about it: only ever added to, each row chained to the
 * one before it by its hash. A correction is a row of its own.
 */
export const record = sqliteTable(
	"record",
	{
		/** From 1, without a gap. */
		number: integer("number").primaryKey({ autoIncrement: true }),
		/** What the form it came from calls itself, so that it is written once however often it is sent. */
		clientId: text("client_id").notNull(),
		/** When it was so, and when it was written. */
		at: integer("at").notNull(),
		writtenAt: integer("written_at").notNull(),
		who: text("who").notNull(),
		kind: text("kind").$type<RecordKind>().notNull(),
		lot: integer("lot"),
		watch: integer("watch"),
		/** As it was hashed, letter by letter. */
		doc: text("doc").notNull(),
		/** SHA-256, hexadecimal. */
		hash: text("hash").notNull(),
	},
	(table) => [
		index("record_client").on(table.clientId),
		index("record_lot").on(table.lot),
		index("record_watch").on(table.watch),
		index("record_kind").on(table.kind, table.at),
	],
);

/** What probes and hands have read: millions of rows, so each is small; chained as the record is. */
export const reading = sqliteTable(
	"reading",
	{
		number: integer("number").primaryKey({ autoIncrement: true }),
		watch: integer("watch").notNull(),
		at: integer("at").notNull(),
		received: integer("received").notNull(),
		/** Hundredths of a degree: whole, so that it is hashed as it is kept. */
		hundredths_C: integer("hundredths_c").notNull(),
		/** In which it was read; °C where it is null. */
		unit: text("unit").$type<DegreeUnit>(),
		/** Who measured by hand; null where it was the probe. */
		who: text("who"),
		hash: sha256("hash").notNull(),
	},
	(table) => [index("reading_watch").on(table.watch, table.at, table.hundredths_C)],
);

/** A version is tried in the kitchen, approved for everyone, and taken out of use. */

export type EventSubject =
	| "house"
	| "panType"
	| "oven"
	| "cook"
	| "standingPlace"
	| "houseCode"
	| "ingredient"
	| "recipe"
	| "sitting";
export type EventWhat = "added" | "changed" | "removed";

/** One field before and after; a whole added or removed thing has one side only. */
export interface Change {
	readonly field: string;
	readonly from: unknown;
	readonly to: unknown;
}

/**
 * The newest version of each recipe as lists and searches need it: made from the facts
 * again whenever they change, never read as a fact itself.
 */
export const recipeListing = sqliteTable(
	"recipe_listing",
	{
		recipeId: text("recipe_id")
			.primaryKey()
			.references(() => recipe.id),
		kind: text("kind").$type<"dish" | "preparation">().notNull(),
		name: text("name").notNull(),
		/** As it is sorted: lower case, no accents. */
		sortName: text("sort_name").notNull(),
		summary: text("summary").notNull(),
		cut: text("cut").$type<Cut>(),
		number: integer("number").notNull(),
		state: text("state").$type<RecipeState>().notNull(),
		allergens: text("allergens", { mode: "json" }).$type<Allergen[]>().notNull(),
		mayContain: text("may_contain", { mode: "json" }).$type<Allergen[]>().notNull().default([]),
		/** What no line names while some are not described. */
		notKnown: text("not_known", { mode: "json" }).$type<Allergen[]>().notNull().default([]),
		tags: text("tags", { mode: "json" }).$type<string[]>().notNull(),
		/** The card it is a variant of; null where it is none. */
		variantOf: text("variant_of"),
		/** Months in which it is at its best; empty all year. */
		season: text("season", { mode: "json" }).$type<number[]>().notNull().default([]),
		at: integer("at").notNull(),
	},
	(table) => [index("recipe_listing_name").on(table.sortName), index("recipe_listing_at").on(table.at)],
);

/** Which recipes name which ingredients, in their newest version. */
export const recipeUses = sqliteTable(
	"recipe_uses",
	{
		recipeId: text("recipe_id")
			.notNull()
			.references(() => recipe.id),
		ingredientId: text("ingredient_id").notNull(),
	},
	(table) => [
		primaryKey({ columns: [table.recipeId, table.ingredientId] }),
		index("recipe_uses_ingredient").on(table.ingredientId),
	],
);

/** A file that was given to be taken in, held until somebody has looked at what it would do. */
export const importStage = sqliteTable("import_stage", {
	id: text("id").primaryKey(),
	name: text("name").notNull(),
	text: text("text").notNull(),
	at: integer("at").notNull(),
	who: text("who").notNull(),
});
