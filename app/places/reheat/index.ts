import { upperFirst } from "es-toolkit";
import type { WorkedDish } from "#core/day";
import { lastStartAt } from "#core/dish";
import { durationWords, likelyDuration } from "#core/time";
import type { Fact } from "../../ui/parts/Facts.tsx";
import { counted, type Reading } from "../../ui/words/reading.ts";
import { NO_LINES, type Place } from "../Place.ts";
import { workAt } from "../sums.ts";
import { reheatView } from "./reheat.view.ts";

export const reheat: Place = {
	key: "reheat",
	figure: ({ plan }) => durationWords(plan.work.reheat_min),
	task: ({ figures: { wave, waves, pans } }, { plan }) => {
		const how = `${howWords(plan)}, ${durationWords(plan.work.reheat_min)}`;
		return wave === undefined
			? `Reheat, ${how}`
			: `Reheat wave ${wave} of ${waves}, ${counted(Number(pans), "pan")}, ${how}`;
	},
	headline: ({ plan, kitchen, reading }) => {
		const code = kitchen.policy.code;
		const core = reading.temperature(code.reheat.core_C);
		return {
			title: `Reheat from ${reading.clock(lastStartAt(plan, "reheat"))}`,
			says: `Lift off the set fat first. ${gatheredSentence(plan, reading)}${upperFirst(howWords(plan))}, to ${core} where it is coldest (house code “${code.name}”).${rangeWords(plan)}${waveWords(plan, reading)}`,
			facts: factsOf(plan, reading),
		};
	},
	sums: ({ plan }) => workAt(plan, "reheat"),
	takes: NO_LINES,
	drawing: reheatView,
	paper: ({ plan, kitchen, reading }) => {
		const { core_C } = kitchen.policy.code.reheat;
		if (!plan.reheat) return [];
		const at = plan.reheat.heat === "hob" ? "" : `, at ${reading.temperature(plan.reheat.set_C)}`;
		const gathered = gatheredWords(plan, reading);
		return [
			{
				what: "Reheat",
				text: `Reheat: ${gathered === null ? "" : `${gathered}; `}${howWords(plan)}${at}, ${durationWords(plan.work.reheat_min)}; to ${reading.temperature(core_C)} in the middle of the fullest pan`,
			},
		];
	},
};

/** Where it goes before the oven that was cooled over more pans than it braised in; null where it stays as it is. */
function gatheredWords({ chill, reheat: planned }: WorkedDish, reading: Reading): string | null {
	if (!planned || planned.depth_mm === null || (chill?.way.parts ?? 1) === 1) return null;
	return `back into its braising pans, ${reading.length(planned.depth_mm)} deep`;
}

function gatheredSentence(plan: WorkedDish, reading: Reading): string {
	const words = gatheredWords(plan, reading);
	return words === null ? "" : `${upperFirst(words)}. `;
}

/** The minutes hold only so: covered and left alone, or stirred. */
function howWords({ reheat: planned }: WorkedDish): string {
	if (planned?.heat === "waterBath") return "in its bath";
	return planned?.stirEvery_min ? `on the hob, stirred every ${planned.stirEvery_min} min` : "covered";
}

/** How far the minutes may be off. */
function rangeWords({ reheat: planned }: WorkedDish): string {
	if (!planned) return "";
	return ` Likely ${likelyDuration(planned.minutes)}.`;
}

/** Where no oven takes all of it at once. */
function waveWords({ tasks }: WorkedDish, reading: Reading): string {
	const waves = tasks.filter(({ part, figures }) => part === "reheat" && figures.wave !== undefined);
	if (waves.length === 0) return "";
	const each = waves.map(
		({ figures, start, end }) =>
			`${counted(Number(figures.pans), "pan")} from ${reading.clock(start)} to ${reading.time(end)}`,
	);
	return ` In ${waves.length} waves: ${each.join("; ")}. What is hot first is held hot, covered.`;
}

function factsOf(plan: WorkedDish, reading: Reading): Fact[] {
	const minutes = durationWords(plan.work.reheat_min);
	if (!plan.reheat) return [{ figure: minutes, label: "usual; the probe decides" }];
	const { set_C, steams_l, depth_mm, spread, heat } = plan.reheat;
	const others = plan.reheat.minutesAt.filter((at) => at.set_C !== set_C);
	const where = heat === "hob" ? "on the hob" : `at ${reading.temperature(set_C)}`;
	return [
		{ figure: minutes, label: `${where}, to be sure; the probe decides` },
		...(depth_mm === null ? [] : [{ figure: reading.length(depth_mm), label: "deep: the depth decides" }]),
		...(spread === null
			? []
			: [
					{
						figure: durationWords(Math.round(spread.minutes)),
						label: `likely, spread to ${reading.length(spread.depth_mm)} over ${spread.parts} times the pans`,
					},
				]),
		{ figure: reading.volume(steams_l), label: "of water it loses, covered" },
		...others.map((at) => ({
			figure: durationWords(Math.round(at.minutes.likely)),
			label: `likely, at ${reading.temperature(at.set_C)}`,
		})),
	];
}
