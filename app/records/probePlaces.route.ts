import { data } from "react-router";
import { readProbePlaces } from "#db";
import { visitContext } from "#server";
import type { Route } from "./+types/probePlaces.route";

/** Which pan each probe stands in, since when, and how that pan goes: what a probe, or its stand-in, asks. */
export async function loader({ context }: Route.LoaderArgs) {
	const places = await readProbePlaces(context.get(visitContext).store.db);
	return data(
		places.map(({ probe, watch, since, beganAt, begun: { course, cooling } }) => ({
			...{ probe, watch, since, course, cooling },
			lifted: beganAt,
		})),
	);
}
