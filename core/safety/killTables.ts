/**
 * What food that is cooked gently is held against: so many minutes at a temperature, where it is coldest,
 * and how they change with it.
 */
export interface KillTable {
	readonly name: string;
	/** Where the figures come from, in words. */
	readonly source: string;
	readonly ref_C: number;
	readonly z_C: number;
	/** At the reference temperature. */
	readonly minutes: number;
	/** Its first row: what is colder counts for nothing, °C. */
	readonly least_C: number;
}

export const KILL_TABLES = {
	beef: {
		name: "6.5 powers of ten in beef",
		source: "the time and temperature table for roast beef of a meat inspection service of North America",
		ref_C: 60,
		z_C: 5.6,
		minutes: 12,
		least_C: 54.4,
	},
	seventy: {
		name: "70 °C for 2 minutes",
		source:
			"cook-chill guidance of the British Isles: 70 °C for 2 minutes, or as much at another temperature",
		ref_C: 70,
		z_C: 7.5,
		minutes: 2,
		least_C: 60,
	},
} as const satisfies Record<string, KillTable>;

export type KillTableKey = keyof typeof KILL_TABLES;

export const KILL_TABLE_KEYS = Object.keys(KILL_TABLES) as KillTableKey[];
