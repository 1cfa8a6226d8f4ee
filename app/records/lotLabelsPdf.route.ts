import { heavily } from "../ui/server/heavily.ts";
import type { Route } from "./+types/lotLabelsPdf.route";
import { sheetKeyIn } from "./labelSheets.ts";
import { numberIn } from "./numberIn.ts";

export async function loader({ context, params, request }: Route.LoaderArgs) {
	const lot = numberIn(params.lot);
	const { origin, searchParams } = new URL(request.url);
	const skip = Number(searchParams.get("skip") ?? 0);
	const pdf = await heavily(
		context,
		"lotLabelsPdf",
		{
			...{ lot, origin, sheet: sheetKeyIn(searchParams.get("sheet")) },
			...{ skip: Number.isFinite(skip) ? skip : 0, again: searchParams.has("again") },
		},
		request,
	);
	return new Response(Buffer.from(pdf), {
		headers: {
			"Content-Type": "application/pdf",
			"Content-Disposition": `inline; filename="lot-${lot}-labels.pdf"`,
			"Cache-Control": "no-store",
		},
	});
}
