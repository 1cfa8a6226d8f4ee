import { heavily } from "../ui/server/heavily.ts";
import type { Route } from "./+types/orderXlsx.route";

/** The order list of a sitting as a file. */
export async function loader({ context, params, request }: Route.LoaderArgs) {
	const { date, bytes } = await heavily(
		context,
		"orderXlsx",
		{ id: params.sittingId, search: new URL(request.url).search },
		request,
	);
	return new Response(bytes, {
		headers: {
			"Content-Type": "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
			"Content-Disposition": `attachment; filename="order-${date}.xlsx"`,
			"Cache-Control": "no-store",
		},
	});
}
