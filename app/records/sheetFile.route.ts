import { data } from "react-router";
import { wallClock } from "#core/time";
import { heavily } from "../ui/server/heavily.ts";
import { visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/sheetFile.route";
import { sheetIn } from "./sheetKinds.ts";

/** A record sheet as a document, or as a table. */
export async function loader({ context, params, request }: Route.LoaderArgs) {
	const { reading, house } = await visitOf(context);
	const of = sheetIn(new URL(request.url).searchParams, wallClock(reading.now, house.timeZone).date);
	const name = `${of.kind}-${of.from}-${of.to}`;
	if (params.file === "sheet.pdf") {
		const pdf = await heavily(context, "recordSheetPdf", of, request);
		return fileOf(Buffer.from(pdf), "application/pdf", `inline; filename="${name}.pdf"`);
	}
	if (params.file !== "sheet.csv") throw data({ missing: "file" }, { status: 404 });
	const csv = await heavily(context, "recordSheetCsv", of, request);
	return fileOf(csv, "text/csv; charset=utf-8", `attachment; filename="${name}.csv"`);
}

function fileOf(body: string | Buffer<ArrayBuffer>, type: string, disposition: string): Response {
	return new Response(body, {
		headers: { "Content-Type": type, "Content-Disposition": disposition, "Cache-Control": "no-store" },
	});
}
