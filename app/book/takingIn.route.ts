import type { Route } from "./+types/takingIn.route";
import { progressShown } from "./takingIn.ts";

/** How far a held file is taken in, for whoever waits for it. */
export function loader({ params }: Route.LoaderArgs) {
	return progressShown(params.stageId);
}
