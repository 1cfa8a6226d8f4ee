import { rmSync } from "node:fs";
import { House, SEEDED_ONCE } from "./house.ts";

/** Before all tests: the demo data is put in once, and copied for each house. */
export default function seedOnce(): () => void {
	const house = new House();
	house.seed();
	process.env[SEEDED_ONCE] = house.data;
	return () => rmSync(house.data, { recursive: true, force: true });
}
