import type { RouterContextProvider } from "react-router";
import { type Lane, visitContext } from "#server";
import type { Jobs } from "../../heavyJobs.ts";

type Name = keyof Jobs;
type Given<N extends Name> = Parameters<Jobs[N]> extends [unknown, infer G, ...unknown[]] ? G : object;

/** What searches, and what reads and writes whole files; everything else plans. */
const LANES: { readonly [N in Name]?: Lane } = {
	morePans: "searches",
	waysOut: "searches",
	importPreview: "files",
	takeIn: "files",
	giveOut: "files",
	lotLabelsPdf: "files",
	recordSheetCsv: "files",
	recordSheetPdf: "files",
};

/**
 * Has a job done beside the thread that answers, for the reader whose visit this is.
 *
 * @param request  where it is given up, so is the job
 * @param progress where somebody looks on while it is done
 */
export async function heavily<N extends Name>(
	context: Readonly<RouterContextProvider>,
	name: N,
	given: Given<N>,
	{ signal }: Pick<Request, "signal">,
	progress?: Int32Array,
): Promise<Awaited<ReturnType<Jobs[N]>>> {
	const { pool, preferences, who } = context.get(visitContext);
	const answer = await pool.run(
		{ name, given, preferences, who },
		{ signal, lane: LANES[name] ?? "plans", progress },
	);
	return answer as Awaited<ReturnType<Jobs[N]>>;
}

/** What was said instead of an answer: that it took too long, or that too much is asked; else null. */
export function saidInstead(error: unknown): string | null {
	const { data, init } = (error ?? {}) as { data?: { said?: unknown }; init?: { status?: unknown } };
	return init?.status === 503 && typeof data?.said === "string" ? data.said : null;
}
