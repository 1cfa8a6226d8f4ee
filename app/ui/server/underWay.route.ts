import type { Route } from "./+types/underWay.route";
import { progressShown } from "./underWay.ts";

/** How far something is that is being done, for whoever waits for it. */
export function loader({ params }: Route.LoaderArgs) {
	return Response.json(progressShown(params.name));
}
