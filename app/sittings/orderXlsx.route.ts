import { wallClock } from "#core/time";
import { visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/orderXlsx.route";
import { orderFor } from "./order.ts";
import { orderBook } from "./orderBook.ts";

/** The order list of a sitting as a spreadsheet: real numbers, so that it can be reckoned with. */
export async function loader({ context, params }: Route.LoaderArgs) {
	const visit = await visitOf(context);
	const order = await orderFor(visit, params.sittingId);
	const { date } = wallClock(order.sitting.serviceAt, visit.house.timeZone);
	const book = orderBook(order, visit.house.currency, visit.house.name);
	return new Response(await book.xlsx.writeBuffer(), {
		headers: {
			"Content-Type": "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
			"Content-Disposition": `attachment; filename="order-${date}.xlsx"`,
			"Cache-Control": "no-store",
		},
	});
}
