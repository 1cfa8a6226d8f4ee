import { data } from "react-router";
import { heavily } from "../ui/server/heavily.ts";
import type { Route } from "./+types/orderFile.route";

const TYPES: Readonly<Record<string, { readonly as: "xlsx" | "csv"; readonly type: string } | undefined>> = {
	"order.xlsx": {
		as: "xlsx",
		type: "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
	},
	"order.csv": { as: "csv", type: "text/csv; charset=utf-8" },
};

/** The order list of a sitting as a file. */
export async function loader({ context, params, request }: Route.LoaderArgs) {
	const file = TYPES[params.file];
	if (!file) throw data({ missing: "file" }, { status: 404 });
	const asked = { id: params.sittingId, search: new URL(request.url).search, as: file.as };
	const { date, bytes } = await heavily(context, "orderFile", asked, request);
	return new Response(bytes as Uint8Array<ArrayBuffer>, {
		headers: {
			"Content-Type": file.type,
			"Content-Disposition": `attachment; filename="order-${date}.${file.as}"`,
			"Cache-Control": "no-store",
		},
	});
}
