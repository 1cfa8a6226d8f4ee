import type { BraiseGiven, Mark } from "#core/braise";
import type { Cut } from "#core/trade";

/** One thing kitchens know: so long until this cut, cooked so, is at this mark. */
export interface Practice {
	readonly name: string;
	readonly given: BraiseGiven;
	readonly mark: Mark;
	/** What is accepted, minutes. */
	readonly low_min: number;
	readonly high_min: number;
	/** Why this range. */
	readonly because: string;
}

const PAN = { gn: "1/1", depth_mm: 100 } as const;
const POT = { round: { diameter_mm: 320, height_mm: 200 } } as const;
const CHILLED = { meat_C: 6, liquid_C: 95 } as const;

type Way = Pick<BraiseGiven, "heat" | "lid" | "pan" | "liquid_l">;
const oven = (kind: "stillOven" | "fanOven", set_C: number, lid: BraiseGiven["lid"]): Way => ({
	heat: { kind, set_C },
	lid,
	pan: PAN,
	liquid_l: 2.2,
});
const HOB: Way = { heat: { kind: "hob", simmer: true }, lid: "lid", pan: POT, liquid_l: 2.5 };
const PRESSURE: Way = { heat: { kind: "pressure", set_C: 119 }, lid: "sealed", pan: POT, liquid_l: 1.5 };
const bath = (set_C: number): Way => ({
	heat: { kind: "waterBath", set_C },
	lid: "sealed",
	pan: POT,
	liquid_l: 10,
});

function row(
	cut: Cut,
	shape: BraiseGiven["shape"],
	thickness_mm: number,
	way: Way,
	mark: Mark,
	[low_min, high_min]: readonly [number, number],
	because: string,
	meat_kg = 3,
): Practice {
	const { heat } = way;
	const at = "set_C" in heat ? ` ${heat.set_C} °C` : "";
	return {
		name: `${cut}, ${shape} ${thickness_mm} mm, ${heat.kind}${at}, ${mark}`,
		given: { cut, shape, thickness_mm, meat_kg, start: CHILLED, ...way },
		mark,
		low_min,
		high_min,
		because,
	};
}

/**
 * General culinary practice, written down as ranges: what a trained cook would accept for pieces
 * of that size from the cold room, poured hot. The three ways to cook chuck span the kinetics;
 * the marks of chuck and pork set the marks for all; each group of cuts has at least two rows.
 */
export const PRACTICE: readonly Practice[] = [
	row("beefChuck", "ball", 45, HOB, "forkTender", [120, 180], "cubes at a bare simmer: two to three hours"),
	row(
		"beefChuck",
		"slab",
		40,
		bath(80),
		"forkTender",
		[720, 1080],
		"an 80 °C bath: twelve to eighteen hours",
		2,
	),
	row(
		"beefChuck",
		"ball",
		40,
		PRESSURE,
		"forkTender",
		[35, 70],
		"small cubes at full pressure: from a good half hour to just over an hour",
		2,
	),
	row(
		"beefChuck",
		"ball",
		45,
		oven("stillOven", 150, "lid"),
		"forkTender",
		[120, 180],
		"as on the hob, the oven only holds the simmer",
	),
	row(
		"beefChuck",
		"slab",
		70,
		oven("stillOven", 150, "lid"),
		"forkTender",
		[160, 250],
		"thick slices take about an hour more than cubes",
	),
	row(
		"beefChuck",
		"ball",
		45,
		HOB,
		"sliceable",
		[85, 125],
		"holds its shape, gives to a knife: two thirds of the way",
	),
	row(
		"beefChuck",
		"ball",
		45,
		HOB,
		"shredding",
		[165, 245],
		"pulls apart with two forks: an hour past tender",
	),
	row(
		"beefChuck",
		"ball",
		45,
		HOB,
		"fallingApart",
		[230, 340],
		"breaks when it is lifted: about four hours and more",
	),
	row(
		"brisket",
		"slab",
		60,
		oven("fanOven", 150, "foil"),
		"forkTender",
		[150, 240],
		"flat and coarse, like chuck of its thickness",
	),
	row(
		"beefShin",
		"slab",
		45,
		HOB,
		"forkTender",
		[150, 235],
		"much tendon: half an hour to an hour past chuck",
	),
	row("beefShin", "ball", 45, PRESSURE, "forkTender", [42, 90], "pressure shortens it as it does chuck"),
	row(
		"beefCheek",
		"slab",
		50,
		oven("fanOven", 150, "lid"),
		"forkTender",
		[165, 245],
		"three hours and more, and forgiving",
	),
	row(
		"porkShoulder",
		"ball",
		45,
		oven("stillOven", 150, "lid"),
		"forkTender",
		[95, 150],
		"an hour and three quarters to two and a half hours",
	),
	row(
		"porkShoulder",
		"cylinder",
		110,
		oven("fanOven", 140, "foil"),
		"forkTender",
		[200, 320],
		"a whole collar: three and a half to five hours",
	),
	row(
		"porkShoulder",
		"slab",
		60,
		oven("fanOven", 150, "lid"),
		"sliceable",
		[85, 140],
		"sliced at the table, not pulled",
	),
	row(
		"porkShoulder",
		"slab",
		60,
		oven("fanOven", 150, "lid"),
		"forkTender",
		[115, 185],
		"slices of two fingers",
	),
	row("porkShoulder", "slab", 60, oven("fanOven", 150, "lid"), "shredding", [155, 250], "to be pulled"),
	row(
		"porkShoulder",
		"slab",
		60,
		oven("fanOven", 150, "lid"),
		"fallingApart",
		[215, 340],
		"too late to lift whole",
	),
	row(
		"porkShoulder",
		"slab",
		40,
		bath(80),
		"forkTender",
		[540, 840],
		"an 80 °C bath: nine to fourteen hours, sooner than beef",
		2,
	),
	row(
		"muttonShoulder",
		"slab",
		40,
		bath(85),
		"forkTender",
		[400, 660],
		"an 85 °C bath: from early morning to supper",
		2,
	),
	row("lambShoulder", "ball", 45, HOB, "forkTender", [95, 150], "as pork of its size"),
	row(
		"gooseLeg",
		"slab",
		45,
		oven("fanOven", 155, "lid"),
		"forkTender",
		[95, 160],
		"old birds take as long as pork",
	),
	row(
		"muttonNeck",
		"slab",
		45,
		oven("stillOven", 145, "lid"),
		"forkTender",
		[125, 200],
		"older than lamb by half an hour",
	),
	row("goatShoulder", "ball", 45, HOB, "forkTender", [105, 170], "between lamb and mutton"),
	row(
		"lambShank",
		"cylinder",
		65,
		oven("fanOven", 160, "foil"),
		"forkTender",
		[130, 200],
		"on the bone, a portion each: two and a half hours",
	),
	row(
		"venisonShoulder",
		"ball",
		40,
		oven("stillOven", 150, "lid"),
		"forkTender",
		[105, 175],
		"lean, but worked as hard as mutton",
	),
	row(
		"vealShin",
		"slab",
		42,
		oven("fanOven", 160, "foil"),
		"forkTender",
		[90, 145],
		"young: an hour and a half to two and a half",
	),
	row(
		"vealBreast",
		"slab",
		45,
		oven("stillOven", 155, "lid"),
		"forkTender",
		[95, 150],
		"as the shin of the same animal",
	),
	row("vealShoulder", "ball", 45, HOB, "forkTender", [80, 130], "the leanest of the young"),
	row(
		"duckLeg",
		"slab",
		38,
		oven("fanOven", 155, "lid"),
		"forkTender",
		[75, 120],
		"an hour and a half, no more",
	),
	row("duckLeg", "slab", 38, HOB, "forkTender", [70, 115], "the same on the stove"),
	row("duckLeg", "slab", 38, PRESSURE, "forkTender", [20, 45], "half an hour at pressure"),
	row(
		"turkeyThigh",
		"slab",
		50,
		oven("fanOven", 160, "lid"),
		"forkTender",
		[75, 125],
		"thicker than duck, and younger",
	),
	row("turkeyThigh", "slab", 40, HOB, "forkTender", [60, 100], "boned and cut"),
	row("chickenThigh", "slab", 30, HOB, "forkTender", [30, 50], "half an hour to three quarters"),
	row(
		"chickenThigh",
		"slab",
		32,
		oven("fanOven", 170, "foil"),
		"forkTender",
		[35, 58],
		"as on the stove, once the pan is hot",
	),
	row("squid", "slab", 12, HOB, "forkTender", [45, 75], "tough after five minutes, tender after an hour"),
	row(
		"squid",
		"slab",
		15,
		oven("stillOven", 150, "lid"),
		"forkTender",
		[50, 85],
		"the oven takes a little longer to come up",
	),
	row(
		"celeriac",
		"slab",
		40,
		oven("fanOven", 155, "foil"),
		"forkTender",
		[45, 80],
		"thick wedges until a knife slips in",
	),
	row("celeriac", "ball", 35, HOB, "forkTender", [30, 60], "large dice at a simmer"),
];
