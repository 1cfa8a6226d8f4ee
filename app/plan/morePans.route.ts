import { heavily } from "../ui/server/heavily.ts";
import type { Route } from "./+types/morePans.route";

/** What one more pan of each kind would save this sitting. */
export function loader({ context, params, request }: Route.LoaderArgs) {
	const { search } = new URL(request.url);
	return heavily(context, "morePans", { ...params, search }, request);
}
