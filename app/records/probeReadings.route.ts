import { Type } from "@sinclair/typebox";
import { data } from "react-router";
import { checked, Refusal } from "#core/check";
import { ProbeName, Read_C } from "#core/records";
import type { NewReading } from "#db";
import { visitContext } from "#server";
import type { Route } from "./+types/probeReadings.route";

/** So many readings are sent at once at the most. */
const MOST = 2000;
/** A probe's clock may be ahead by so much, ms. */
const AHEAD_MS = 120_000;

const Sent = Type.Object({
	readings: Type.Array(
		Type.Object({
			probe: ProbeName,
			at: Type.Integer({ minimum: 0, maximum: 8_640_000_000_000, allowed: "milliseconds since 1970, UTC" }),
			C: Type.Number({ allowed: "°C" }),
		}),
		{ minItems: 1, maxItems: MOST, allowed: `1 to ${MOST} readings` },
	),
});

/**
 * What probes have read. It is answered once all that has a pan is on the disk: a probe that gets no
 * answer sends it again, and nothing is kept twice.
 */
export async function action({ context, request }: Route.ActionArgs) {
	const { store, live } = context.get(visitContext);
	const sent = await readSent(request);
	if ("said" in sent) return data(sent, { status: 400 });
	const places = await live.places.read(store.db);
	const now = Date.now();
	const counts = { kept: 0, known: 0, unplaced: 0, early: 0, outside: 0, ahead: 0 };
	const readings: NewReading[] = [];
	for (const { probe, at, C } of sent.readings) {
		const place = places.get(probe);
		if (!place) counts.unplaced += 1;
		else if (at < place.since) counts.early += 1;
		else if (at > now + AHEAD_MS) counts.ahead += 1;
		else if (!isReadable(C)) counts.outside += 1;
		else readings.push({ watch: place.watch, at, C, who: null });
	}
	counts.kept = await live.readings.keep(readings);
	counts.known = readings.length - counts.kept;
	return data(counts);
}

export function loader() {
	return data(
		{ said: "Probes send their readings here with POST." },
		{ status: 405, headers: { Allow: "POST" } },
	);
}

async function readSent(request: Request) {
	try {
		return checked(Sent, await request.json());
	} catch (error) {
		if (error instanceof Refusal) return { said: error.message };
		return { said: "What was sent is no JSON." };
	}
}

function isReadable(C: number): boolean {
	return C >= (Read_C.minimum as number) && C <= (Read_C.maximum as number);
}
