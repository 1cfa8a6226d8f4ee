import { heavily, saidInstead } from "../ui/server/heavily.ts";
import { endProgress, progressOf } from "../ui/server/underWay.ts";
import type { Route } from "./+types/waysOut.route";

/** What would free a day of what it goes without; where that takes too long, it is said. */
export async function loader({ context, params: { date }, request }: Route.LoaderArgs) {
	const name = new URL(request.url).searchParams.get("name")?.slice(0, LONGEST_NAME) || date;
	try {
		const ways = await heavily(context, "waysOut", { date }, request, progressOf(name));
		return Response.json(ways);
	} catch (error) {
		const said = saidInstead(error);
		if (said === null) throw error;
		return Response.json({ says: said, ways: [] });
	} finally {
		endProgress(name);
	}
}

const LONGEST_NAME = 60;
