import { data } from "react-router";
import { heavily } from "../ui/server/heavily.ts";
import type { Route } from "./+types/dayFile.route";

const TYPES: Readonly<Record<string, string>> = {
	"day.json": "application/json; charset=utf-8",
	"day.csv": "text/csv; charset=utf-8",
	"day.ics": "text/calendar; charset=utf-8",
};

/** The day as a file, for other programs and for tables. */
export async function loader({ context, params, request }: Route.LoaderArgs) {
	const type = TYPES[params.file];
	const text = type
		? await heavily(context, "dayFile", { date: params.date, file: params.file }, request)
		: null;
	if (!type || text === null) throw data({ missing: "file" }, { status: 404 });
	return new Response(text, {
		headers: {
			"Content-Type": type,
			"Content-Disposition": `attachment; filename="${params.date}-${params.file}"`,
			"Cache-Control": "no-store",
		},
	});
}
