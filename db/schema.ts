import { sql } from "drizzle-orm";
import { index, integer, real, sqliteTable, text, uniqueIndex } from "drizzle-orm/sqlite-core";
import type { OvenKind } from "#core/ovens";
import type { GastronormSize } from "#core/pans";
import type { UnitSystem } from "#core/quantity";
import type { Allergen, Recipe } from "#core/recipe";
import type { HouseCodeKey } from "#core/safety";

/**
 * Facts only. Plans are derived from these and never stored. Weights are grams, lengths
 * millimetres, temperatures °C, money whole minor units, instants milliseconds since
 * 1970 in UTC. `version` counts the changes of a row, so that nobody overwrites unseen.
 */

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
	houseCode: text("house_code").$type<HouseCodeKey>().notNull(),
	searPanId: text("sear_pan_id").references(() => panType.id),
	burners: integer("burners").notNull(),
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
	/** What it is for: braising in the oven, or searing on the hob. */
	use: text("use").$type<"braise" | "sear">().notNull(),
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
	retired: integer("retired", { mode: "boolean" }).notNull().default(false),
	version: version(),
});

export const ingredient = sqliteTable("ingredient", {
	/** Slug, as recipes name it. */
	id: text("id").primaryKey(),
	name: text("name").notNull(),
	density_g_per_ml: real("density_g_per_ml"),
	each_g: real("each_g"),
	allergens: text("allergens", { mode: "json" }).$type<Allergen[]>().notNull(),
	/** Price of a kilo in minor units of the house's currency; none until it is known. */
	pricePerKg_minor: integer("price_per_kg_minor"),
	version: version(),
});

export const recipe = sqliteTable("recipe", {
	/** Slug, in the address. */
	id: text("id").primaryKey(),
	createdAt: integer("created_at").notNull(),
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
		doc: text("doc", { mode: "json" }).$type<Recipe>().notNull(),
		createdAt: integer("created_at").notNull(),
		createdBy: text("created_by").notNull(),
	},
	(table) => [uniqueIndex("recipe_version_number").on(table.recipeId, table.number)],
);

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

export type EventSubject = "house" | "panType" | "oven" | "ingredient" | "recipe" | "sitting";
export type EventWhat = "added" | "changed" | "removed";

/** One field before and after; a whole added or removed thing has one side only. */
export interface Change {
	readonly field: string;
	readonly from: unknown;
	readonly to: unknown;
}
