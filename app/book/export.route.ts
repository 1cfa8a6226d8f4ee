import { data } from "react-router";
import { heavily } from "../ui/server/heavily.ts";
import type { Route } from "./+types/export.route";

/** Files that go out: the book, its tables, its schema, and one recipe in three forms. */
export async function loader({ context, params, request }: Route.LoaderArgs) {
	const { file } = params;
	const [, name = "", ending = ""] = /^(.+?)\.(schema\.json|json|jsonld|md|csv)$/.exec(file) ?? [];
	const text = await heavily(context, "giveOut", { name, ending }, request);
	if (text === null) throw data({ missing: "file" }, { status: 404 });
	return new Response(text, {
		headers: {
			"Content-Type": `${TYPES[ending as keyof typeof TYPES]}; charset=utf-8`,
			"Content-Disposition": `attachment; filename="${file}"`,
			"Cache-Control": "no-store",
		},
	});
}

const TYPES = {
	json: "application/json",
	"schema.json": "application/schema+json",
	jsonld: "application/ld+json",
	md: "text/markdown",
	csv: "text/csv",
} as const;
