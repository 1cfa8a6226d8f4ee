import { Type } from "@sinclair/typebox";
import { Count, Covers, Day, LARGEST_COUNT, Name, oneOf, TimeOfDay } from "../check/index.ts";
import { COLOUR_WAYS } from "../dish/index.ts";
import { BASES } from "./SittingDish.ts";

/** What is typed of a sitting and its dishes: percentages, and the house's own day and time. */

const service = {
	date: Day,
	time: TimeOfDay,
};

const Guests = Type.Optional(
	Type.Integer({ minimum: 0, maximum: LARGEST_COUNT, allowed: "a whole number of guests from 0" }),
);

const share = {
	/** Per cent, so many guests, or the rest: read by `readUptake`. */
	uptake: Type.String({ minLength: 1, maxLength: 40, allowed: "a percentage, so many guests, or the rest" }),
	spare: Type.Number({ minimum: 0, maximum: 100, allowed: "a percentage from 0 to 100" }),
};

/** The details of a sitting. */
export const SittingEntry = Type.Object({
	name: Name,
	room: Type.String({ maxLength: 80, allowed: "a room of up to 80 characters" }),
	...service,
	covers: Covers,
	hands: Type.Integer({ minimum: 1, maximum: 60, allowed: "a whole number of cooks from 1 to 60" }),
	note: Type.String({ maxLength: 600, allowed: "a note of up to 600 characters" }),
	/** Carried elsewhere: minutes under way, the air there, hot or cold; served where it is cooked where nothing is typed. */
	carry_min: Type.Optional(
		Type.Integer({ minimum: 1, maximum: 1440, allowed: "whole minutes from 1 to 1440, or nothing" }),
	),
	carryAir_C: Type.Optional(
		Type.Integer({ minimum: -30, maximum: 45, allowed: "whole degrees from −30 to 45 °C, or nothing" }),
	),
	/** How warm it is when it is packed; as is usual where nothing is typed. */
	carryPacked_C: Type.Optional(
		Type.Integer({ minimum: -2, maximum: 100, allowed: "whole degrees from −2 to 100 °C, or nothing" }),
	),
	/** How often a box is opened on the way. */
	carryOpened: Type.Optional(
		Type.Integer({ minimum: 0, maximum: 100, allowed: "a whole number from 0 to 100, or nothing" }),
	),
	carryHot: Type.Optional(oneOf(["", "hot", "cold"] as const)),
	/** Guests at half a portion, at one and a half, and second helpings in per cent. */
	half: Guests,
	oneAndHalf: Guests,
	seconds: Type.Optional(
		Type.Number({ minimum: 0, maximum: 100, allowed: "a percentage from 0 to 100, or nothing" }),
	),
	/** Another house code than the house's, and why. */
	houseCode: Type.Optional(Type.String({ maxLength: 40, allowed: "a house code from the list" })),
	codeReason: Type.Optional(Type.String({ maxLength: 200, allowed: "a reason of up to 200 characters" })),
});

/** One dish's share of the covers. */
export const ShareEntry = Type.Object(share);

/** What the long table's own control can change. */
export const TrialEntry = Type.Object({
	covers: Covers,
	...share,
	...service,
	basis: oneOf(BASES),
	onHand: Type.Optional(Type.String({ maxLength: 40, allowed: "a weight such as 17.4 kg" })),
	pans: Type.Optional(Count),
	panType: Type.Optional(Type.String({ maxLength: 40 })),
	wishes: Type.Optional(Type.String({ maxLength: 2000 })),
	line: Type.Optional(Type.String({ maxLength: 40 })),
	colour: Type.Optional(oneOf(["", ...COLOUR_WAYS] as const)),
	chill: Type.Optional(Type.String({ maxLength: 60 })),
	cook: Type.Optional(Type.String({ maxLength: 60 })),
	swaps: Type.Optional(Type.String({ maxLength: 2000 })),
	byProducts: Type.Optional(Type.String({ maxLength: 400 })),
	ahead: Type.Optional(oneOf(["", "yes", "no"] as const)),
});
