import { type ChillGiven, minutesTo } from "../chill/index.ts";
import { isWithin, limitsOf } from "./courses.ts";
import { standingOf, type Watched } from "./standing.ts";

/** Something that makes food cool sooner than it does. */
export interface Remedy {
	readonly action: "spread" | "iceBath" | "blast";
	/** Over how many pans the food of one is spread. */
	readonly parts: number;
	/** How it is cooled from then on. */
	readonly given: ChillGiven;
	/** When each limit is likely reached with it, minutes since the watch began; null where never. */
	readonly reached_min: readonly (number | null)[];
	/** Whether all that can still be met is met with it. */
	readonly meets: boolean;
}

const ICED_C = 1;
/** To spread, to fetch ice, to carry: so long it takes, minutes. General practice. */
const TAKES_MIN = 5;
const MOST_PARTS = 3;
const SHALLOWEST_MM = 15;

/**
 * What helps food that cools too slowly, reckoned from how warm it is now: those that meet its
 * limits first, the least trouble before the more.
 *
 * @param blast_C air of a chiller with wind that it is not in yet; null where there is none
 */
export function remediesFor(watched: Watched, blast_C: number | null): Remedy[] {
	const { cooling, points, now_min } = watched;
	const last = points.at(-1);
	if (watched.course !== "cool" || !cooling || !last) return [];
	const now: ChillGiven = { ...cooling, start_C: last[1] };
	const iced: ChillGiven = { ...now, foot: { medium: "iceWater", C: ICED_C } };
	const ways: Pick<Remedy, "action" | "parts" | "given">[] = [
		...(cooling.foot ? [] : [{ action: "iceBath" as const, parts: 1, given: iced }]),
		...(blast_C === null || cooling.medium === "blast"
			? []
			: [
					{
						action: "blast" as const,
						parts: 1,
						given: { ...now, medium: "blast" as const, medium_C: blast_C },
					},
				]),
	];
	for (let parts = 2; parts <= MOST_PARTS; parts += 1) {
		const depth_mm = Math.round(now.depth_mm / parts);
		if (depth_mm >= SHALLOWEST_MM) ways.push({ action: "spread", parts, given: { ...now, depth_mm } });
	}
	const { code } = watched;
	const limits = limitsOf("cool", code);
	const standing = standingOf(watched);
	const from_min = Math.max(now_min, last[0]) + TAKES_MIN;
	// What is hotter than the code counts from begins to count sooner, too, when it cools sooner.
	const { from_C } = code.cooling;
	const isBegun = from_C === null || points.some((point) => isWithin({ C: from_C, wanted: "atMost" }, point));
	const remedies = ways.map((way): Remedy => {
		const asked = [...(isBegun ? [] : [from_C]), ...limits.map(({ C }) => C)];
		const minutes = minutesTo(way.given, asked, "likely").map((one) =>
			one === null ? null : from_min + one,
		);
		const began = isBegun ? null : (minutes[0] ?? null);
		const reached_min = isBegun ? minutes : minutes.slice(1);
		const meets = standing.every(({ by_min, within_min, at_min, verdict }, index) => {
			const by = began === null ? by_min : began + (within_min ?? 0);
			return (
				at_min !== null ||
				verdict === "missed" ||
				(reached_min[index] ?? Number.POSITIVE_INFINITY) <= (by ?? 0)
			);
		});
		return { ...way, reached_min, meets };
	});
	return remedies.sort((a, b) => Number(b.meets) - Number(a.meets));
}
