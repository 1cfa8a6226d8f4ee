import { type Static, Type } from "@sinclair/typebox";
import { LARGEST_COUNT, Refusal, refuse } from "#core/check";
import type { CarryChoice } from "#core/dish";
import { DIET_KEYS, type DietCount } from "#core/recipe";
import { SittingEntry } from "#core/sitting";
import { fromWallClock } from "#core/time";
import type { SittingDetails } from "#db";
import { type FormRead, readForm, typedIn, type Wrong, wrongOf } from "../ui/forms/form.ts";

const DietField = Type.Object({
	covers: Type.Optional(
		Type.Integer({ minimum: 0, maximum: LARGEST_COUNT, allowed: "a whole number of guests from 0" }),
	),
});

/** Guests by diet, typed in fields `diet.KEY`; an empty field is none. */
function readDiets(form: FormData): { diets: DietCount[]; wrong: Wrong } {
	const wrong: Record<string, string> = {};
	const diets = DIET_KEYS.flatMap((diet) => {
		const own = new FormData();
		own.set("covers", String(form.get(`diet.${diet}`) ?? ""));
		const read = readForm(DietField, own);
		if ("wrong" in read) {
			wrong[`diet.${diet}`] = read.wrong.covers ?? "";
			return [];
		}
		const { covers = 0 } = read.value;
		return covers > 0 ? [{ diet, covers }] : [];
	});
	return { diets, wrong };
}

/** The air round a box under way where nobody has said, °C. */
const USUAL_AIR_C = 15;

/**
 * Reads the details of a sitting; the day and time are the house's own.
 *
 * @param codes the house codes there are, by key or id
 */
export function readDetails(
	form: FormData,
	timeZone: string,
	codes: readonly string[],
): FormRead<SittingDetails> {
	const read = readForm(SittingEntry, form);
	const { diets, wrong } = readDiets(form);
	if ("wrong" in read) return { typed: read.typed, wrong: { ...read.wrong, ...wrong } };
	if (Object.keys(wrong).length > 0) return { typed: typedIn(form), wrong };
	try {
		return { value: { ...detailsOf(read.value, timeZone, codes), diets } };
	} catch (error) {
		if (error instanceof Refusal) return { typed: typedIn(form), wrong: wrongOf(error) };
		throw error;
	}
}

/** How it is carried; null where it is served where it is cooked. */
function carryOf({
	carry_min,
	carryAir_C = USUAL_AIR_C,
	carryHot,
	carryOpened,
	carryPacked_C,
}: Static<typeof SittingEntry>): CarryChoice | null {
	if (carry_min === undefined) return null;
	return {
		...{ minutes: carry_min, air_C: carryAir_C, hot: carryHot !== "cold" },
		...(carryPacked_C === undefined ? {} : { packed_C: carryPacked_C }),
		...(carryOpened ? { openings: carryOpened } : {}),
	};
}

function detailsOf(
	entry: Static<typeof SittingEntry>,
	timeZone: string,
	codes: readonly string[],
): SittingDetails {
	const { carry_min, carryAir_C, carryHot, carryOpened, carryPacked_C, ...typed } = entry;
	const {
		date,
		time,
		houseCode = "",
		codeReason = "",
		half = 0,
		oneAndHalf = 0,
		seconds = 0,
		...details
	} = typed;
	if (fromWallClock(date, "12:00", timeZone) === undefined) {
		throw refuse("date", `“${date}” was given; a day such as 2026-11-28 is allowed`);
	}
	const serviceAt = fromWallClock(date, time, timeZone);
	if (serviceAt === undefined) {
		throw refuse("time", `“${time}” was given; a time such as 19:30 is allowed`);
	}
	if (houseCode && !codes.includes(houseCode)) {
		throw refuse("houseCode", "is no house code here any more; choose another");
	}
	if (houseCode && !codeReason) {
		throw refuse("codeReason", "is missing; why this sitting works to another house code is needed");
	}
	if (half + oneAndHalf > details.covers) {
		throw refuse(
			"half",
			`${half} and ${oneAndHalf} guests were given; up to the ${details.covers} covers together is allowed`,
		);
	}
	const areAlike = half + oneAndHalf + seconds === 0;
	return {
		...details,
		serviceAt,
		guests: areAlike ? null : { half, oneAndHalf, seconds: seconds / 100 },
		houseCode: houseCode || null,
		codeReason: houseCode ? codeReason : "",
		carry: carryOf(entry),
	};
}
