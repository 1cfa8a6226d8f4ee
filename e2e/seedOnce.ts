import { rmSync } from "node:fs";
import { House, SEEDED_ONCE } from "./house.ts";

/** Before all tests: the demo data is put in once and its days are placed, and both are copied for each house. */
export default async function seedOnce(): Promise<() => void> {
	const house = new House();
	house.seed();
	await house.start();
	const { status } = await fetch(house.url);
	if (status !== 200) throw new Error(`Today answers ${status} to whoever asks first`);
	await house.stop();
	process.env[SEEDED_ONCE] = house.data;
	return () => rmSync(house.data, { recursive: true, force: true });
}
