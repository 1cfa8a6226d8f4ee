import { heavily, saidInstead } from "../ui/server/heavily.ts";
import type { Route } from "./+types/morePans.route";

/** What one more pan of each kind would save this sitting; where that takes too long, the table stays and it is said. */
export async function loader({ context, params, request }: Route.LoaderArgs) {
	const { search } = new URL(request.url);
	try {
		return await heavily(context, "morePans", { ...params, search }, request);
	} catch (error) {
		const said = saidInstead(error);
		if (said === null) throw error;
		return { savings: [said] };
	}
}
