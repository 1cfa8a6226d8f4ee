import type { BraiseGiven, Mark } from "#core/braise";
import type { PieceSides } from "#core/heat";
import type { Cut } from "#core/trade";

/** One thing kitchens know: so long until this cut, cooked so, is at this mark. */
export interface Practice {
	readonly name: string;
	readonly given: BraiseGiven;
	readonly mark: Mark;
	/** What is accepted, minutes: the spread of what kitchens see. */
	readonly low_min: number;
	readonly high_min: number;
	/** Why this range. */
	readonly because: string;
}

const PAN = { gn: "1/1", depth_mm: 100 } as const;
const POT = { round: { diameter_mm: 320, height_mm: 200 } } as const;
const CHILLED = { meat_C: 6, liquid_C: 95 } as const;
const COLD = { meat_C: 6, liquid_C: 18 } as const;

type Way = Pick<BraiseGiven, "heat" | "lid" | "pan" | "liquid_l"> & Partial<Pick<BraiseGiven, "start">>;
const oven = (
	kind: "stillOven" | "fanOven",
	set_C: number,
	lid: BraiseGiven["lid"],
	liquid_l = 2.2,
): Way => ({
	heat: { kind, set_C },
	lid,
	pan: PAN,
	liquid_l,
});
const HOB: Way = { heat: { kind: "hob", simmer: true }, lid: "lid", pan: POT, liquid_l: 2.5 };
const PRESSURE: Way = { heat: { kind: "pressure", set_C: 119 }, lid: "sealed", pan: POT, liquid_l: 1.5 };
const bath = (set_C: number): Way => ({
	heat: { kind: "waterBath", set_C },
	lid: "sealed",
	pan: POT,
	liquid_l: 10,
});
const slow = (set_C: number): Way => ({
	heat: { kind: "slowCooker", set_C },
	lid: "lid",
	pan: POT,
	liquid_l: 2,
	start: COLD,
});

/** A piece by its sides, and what of its weight is bone. */
interface PieceSeen {
	readonly sides: PieceSides;
	readonly words: string;
	readonly bone: number;
}

const block = (length: number, width: number, height: number, bone = 0): PieceSeen => ({
	sides: { kind: "block", sides_mm: [length, width, height] },
	words: `${length} × ${width} × ${height} mm`,
	bone,
});
const cube = (side: number): PieceSeen => ({ ...block(side, side, side), words: `cubes of ${side} mm` });
const bar = (diameter_mm: number, length_mm: number, bone = 0): PieceSeen => ({
	sides: { kind: "bar", diameter_mm, length_mm },
	words: `round of ${diameter_mm} mm, ${length_mm} mm long`,
	bone,
});

function row(
	cut: Cut,
	{ sides, words, bone }: PieceSeen,
	way: Way,
	mark: Mark,
	[low_min, high_min]: readonly [number, number],
	because: string,
	meat_kg = 3,
): Practice {
	const { heat, lid } = way;
	const at = "set_C" in heat ? ` ${heat.set_C} °C` : "";
	const cover = lid === "open" || lid === "paper" ? `, ${lid}` : "";
	return {
		name: `${cut}, ${words}${bone > 0 ? " on the bone" : ""}, ${heat.kind}${at}${cover}, ${mark}`,
		given: { cut, sides, boneShare: bone, meat_kg, start: CHILLED, ...way },
		mark,
		low_min,
		high_min,
		because,
	};
}

/**
 * General culinary practice, written down as ranges: what a trained cook would accept for pieces
 * of that size from the cold room, poured hot. The three ways to cook chuck span the kinetics;
 * each free mark rests on at least four rows, each cut has at least one.
 */
export const PRACTICE: readonly Practice[] = [
	row("beefChuck", cube(45), HOB, "forkTender", [120, 180], "cubes at a bare simmer: two to three hours"),
	row(
		"beefChuck",
		block(150, 100, 40),
		bath(80),
		"forkTender",
		[720, 1080],
		"an 80 °C bath: twelve to eighteen hours",
		2,
	),
	row(
		"beefChuck",
		cube(40),
		PRESSURE,
		"forkTender",
		[44, 72],
		"small cubes at full pressure, coming up counted: three quarters of an hour to a good hour",
		2,
	),
	row(
		"beefChuck",
		cube(45),
		oven("stillOven", 150, "lid"),
		"forkTender",
		[120, 185],
		"as on the hob, the oven only holds the simmer",
	),
	row(
		"beefChuck",
		block(160, 110, 70),
		oven("stillOven", 150, "lid"),
		"forkTender",
		[170, 270],
		"thick slices take about an hour more than cubes",
	),
	row(
		"beefChuck",
		cube(45),
		slow(90),
		"forkTender",
		[330, 540],
		"low in a slow cooker from cold: six to nine hours",
	),
	row(
		"beefChuck",
		cube(45),
		oven("fanOven", 160, "open", 4),
		"forkTender",
		[190, 340],
		"uncovered it stays below the boil, and takes longer for it",
	),
	row(
		"beefChuck",
		cube(45),
		HOB,
		"sliceable",
		[85, 125],
		"holds its shape, gives to a knife: two thirds of the way",
	),
	row("beefChuck", cube(45), HOB, "shredding", [155, 240], "pulls apart with two forks: an hour past tender"),
	row(
		"beefChuck",
		cube(45),
		HOB,
		"fallingApart",
		[220, 340],
		"breaks when it is lifted: about four hours and more",
	),
	row(
		"beefShortRib",
		block(130, 60, 55, 0.3),
		oven("fanOven", 150, "lid"),
		"forkTender",
		[145, 235],
		"on the bone, a portion each: three hours",
	),
	row(
		"brisket",
		block(220, 160, 60),
		oven("fanOven", 150, "foil"),
		"forkTender",
		[165, 265],
		"flat and coarse, like chuck of its thickness",
	),
	row(
		"beefShin",
		block(130, 90, 45),
		HOB,
		"forkTender",
		[150, 235],
		"much tendon: half an hour to an hour past chuck",
	),
	row("beefShin", cube(45), PRESSURE, "forkTender", [50, 95], "pressure shortens it as it does chuck"),
	row(
		"beefCheek",
		block(120, 90, 50),
		oven("fanOven", 150, "lid"),
		"forkTender",
		[165, 255],
		"three hours and more, and forgiving",
	),
	row(
		"oxtail",
		bar(65, 50, 0.42),
		HOB,
		"forkTender",
		[150, 250],
		"sections on the bone: three hours and more",
	),
	row("oxtail", bar(65, 50, 0.42), PRESSURE, "forkTender", [50, 95], "an hour at pressure"),
	row(
		"porkShoulder",
		cube(45),
		oven("stillOven", 150, "lid"),
		"forkTender",
		[95, 150],
		"an hour and three quarters to two and a half hours",
	),
	row(
		"porkShoulder",
		bar(110, 260),
		oven("fanOven", 140, "foil"),
		"forkTender",
		[200, 320],
		"a whole collar: three and a half to five hours",
	),
	row(
		"porkShoulder",
		block(130, 90, 60),
		oven("fanOven", 150, "lid"),
		"sliceable",
		[90, 145],
		"sliced at the table, not pulled",
	),
	row(
		"porkShoulder",
		block(130, 90, 60),
		oven("fanOven", 150, "lid"),
		"forkTender",
		[120, 190],
		"slices of two fingers and a half",
	),
	row(
		"porkShoulder",
		block(130, 90, 60),
		oven("fanOven", 150, "lid"),
		"shredding",
		[155, 250],
		"to be pulled",
	),
	row(
		"porkShoulder",
		block(130, 90, 60),
		oven("fanOven", 150, "lid"),
		"fallingApart",
		[210, 340],
		"too late to lift whole",
	),
	row(
		"porkShoulder",
		block(140, 100, 40),
		bath(80),
		"forkTender",
		[540, 840],
		"an 80 °C bath: nine to fourteen hours, sooner than beef",
		2,
	),
	row(
		"porkShoulder",
		block(130, 90, 60),
		slow(90),
		"forkTender",
		[270, 450],
		"low in a slow cooker from cold: five to seven hours",
	),
	row(
		"porkShoulder",
		block(130, 90, 60),
		oven("stillOven", 150, "open", 4.5),
		"forkTender",
		[190, 340],
		"uncovered in a still oven: the liquid only smokes, an hour or two more",
	),
	row(
		"porkShoulder",
		block(130, 90, 60),
		oven("stillOven", 150, "paper", 3),
		"forkTender",
		[125, 210],
		"under a paper disc, a few degrees below the boil",
	),
	row(
		"muttonShoulder",
		block(140, 100, 40),
		bath(85),
		"forkTender",
		[400, 660],
		"an 85 °C bath: from early morning to supper",
		2,
	),
	row("muttonShoulder", cube(45), slow(88), "forkTender", [330, 560], "low in a slow cooker from cold"),
	row("lambShoulder", cube(45), HOB, "forkTender", [95, 150], "as pork of its size"),
	row("lambShoulder", cube(45), HOB, "sliceable", [62, 105], "still holds to the knife"),
	row(
		"lambShoulder",
		block(160, 120, 70),
		oven("fanOven", 150, "foil"),
		"shredding",
		[180, 300],
		"a joint to be pulled at the table",
	),
	row(
		"lambNeck",
		block(110, 80, 45, 0.38),
		oven("stillOven", 150, "lid"),
		"forkTender",
		[100, 165],
		"sections on the bone, as shoulder or a little longer",
	),
	row(
		"gooseLeg",
		block(190, 100, 45, 0.25),
		oven("fanOven", 155, "lid"),
		"forkTender",
		[95, 160],
		"old birds take as long as pork",
	),
	row(
		"muttonNeck",
		block(110, 80, 45, 0.4),
		oven("stillOven", 145, "lid"),
		"forkTender",
		[125, 205],
		"older than lamb by half an hour",
	),
	row("goatShoulder", cube(45), HOB, "forkTender", [105, 170], "between lamb and mutton"),
	row("goatShoulder", cube(45), HOB, "sliceable", [72, 118], "cut in slices without fraying"),
	row("goatShoulder", cube(45), HOB, "fallingApart", [200, 320], "breaks under the ladle"),
	row(
		"goatShoulder",
		cube(45),
		oven("stillOven", 155, "paper", 3),
		"forkTender",
		[110, 185],
		"under paper, a little below the boil",
	),
	row(
		"lambShank",
		bar(65, 150, 0.32),
		oven("fanOven", 160, "foil"),
		"forkTender",
		[130, 200],
		"on the bone, a portion each: two and a half hours",
	),
	row(
		"lambShank",
		bar(65, 150, 0.32),
		oven("fanOven", 160, "foil"),
		"fallingApart",
		[235, 370],
		"the bone comes away by itself",
	),
	row(
		"porkCheek",
		block(90, 60, 40),
		oven("stillOven", 150, "lid"),
		"forkTender",
		[105, 170],
		"small, and full of tendon",
	),
	row("wildBoarShoulder", cube(45), HOB, "forkTender", [110, 180], "as mutton: worked hard"),
	row(
		"hareLeg",
		block(150, 70, 40, 0.28),
		oven("fanOven", 150, "foil"),
		"forkTender",
		[105, 180],
		"lean and old: two hours and more",
	),
	row(
		"venisonShoulder",
		cube(40),
		oven("stillOven", 150, "lid"),
		"forkTender",
		[105, 175],
		"lean, but worked as hard as mutton",
	),
	row(
		"vealShin",
		block(120, 100, 42, 0.38),
		oven("fanOven", 160, "foil"),
		"forkTender",
		[90, 145],
		"young: an hour and a half to two and a half",
	),
	row(
		"vealBreast",
		block(140, 100, 45),
		oven("stillOven", 155, "lid"),
		"forkTender",
		[95, 155],
		"as the shin of the same animal",
	),
	row(
		"vealBreast",
		block(140, 100, 45),
		oven("stillOven", 155, "lid"),
		"sliceable",
		[65, 108],
		"carved in slices",
	),
	row("vealShoulder", cube(45), HOB, "forkTender", [80, 130], "the leanest of the young"),
	row("vealShoulder", cube(45), oven("stillOven", 150, "paper", 3), "forkTender", [85, 145], "under paper"),
	row(
		"duckLeg",
		block(170, 90, 38, 0.25),
		oven("fanOven", 155, "lid"),
		"forkTender",
		[80, 125],
		"an hour and a half to two hours",
	),
	row("duckLeg", block(170, 90, 38, 0.25), HOB, "forkTender", [72, 118], "the same on the stove"),
	row(
		"duckLeg",
		block(170, 90, 38, 0.25),
		PRESSURE,
		"forkTender",
		[28, 54],
		"half an hour at pressure and ten minutes to come up",
	),
	row(
		"duckLeg",
		block(170, 90, 38, 0.25),
		oven("fanOven", 155, "lid"),
		"shredding",
		[102, 165],
		"to be pulled off the bone",
	),
	row(
		"duckLeg",
		block(170, 90, 38, 0.25),
		oven("fanOven", 155, "lid"),
		"fallingApart",
		[140, 230],
		"comes off the bone by itself",
	),
	row(
		"turkeyThigh",
		block(150, 110, 50, 0.18),
		oven("fanOven", 160, "lid"),
		"forkTender",
		[78, 130],
		"thicker than duck, and younger",
	),
	row("turkeyThigh", block(90, 70, 40), HOB, "forkTender", [58, 95], "boned and cut"),
	row("chickenThigh", block(110, 80, 30, 0.2), HOB, "forkTender", [30, 50], "half an hour to three quarters"),
	row(
		"chickenThigh",
		block(110, 80, 32, 0.2),
		oven("fanOven", 170, "foil"),
		"forkTender",
		[36, 60],
		"as on the stove, once the pan is hot",
	),
	row(
		"squid",
		block(120, 70, 12),
		HOB,
		"forkTender",
		[45, 75],
		"tough after five minutes, tender after an hour",
	),
	row(
		"squid",
		block(120, 70, 15),
		oven("stillOven", 150, "lid"),
		"forkTender",
		[52, 88],
		"the oven takes a little longer to come up",
	),
	row(
		"celeriac",
		block(90, 60, 40),
		oven("fanOven", 155, "foil"),
		"forkTender",
		[45, 80],
		"thick wedges until a knife slips in",
	),
	row("celeriac", cube(35), HOB, "forkTender", [30, 60], "large dice at a simmer"),
	row(
		"duckLeg",
		block(170, 90, 38, 0.25),
		bath(80),
		"forkTender",
		[420, 720],
		"an 80 °C bath, bagged: eight to twelve hours",
		2,
	),
	row(
		"lambShank",
		bar(65, 150, 0.32),
		bath(80),
		"forkTender",
		[600, 960],
		"an 80 °C bath: ten to sixteen hours",
		2,
	),
	row(
		"venisonShoulder",
		cube(40),
		slow(90),
		"forkTender",
		[350, 560],
		"low in a slow cooker from cold: six to nine hours",
	),
	row(
		"beefShin",
		block(130, 90, 45),
		slow(90),
		"forkTender",
		[400, 640],
		"low in a slow cooker from cold: seven to ten hours",
	),
	row(
		"porkShoulder",
		cube(45),
		PRESSURE,
		"forkTender",
		[38, 62],
		"half an hour at pressure and more, coming up counted",
		2,
	),
	row(
		"lambShank",
		bar(65, 150, 0.32),
		PRESSURE,
		"forkTender",
		[44, 74],
		"three quarters of an hour to an hour, coming up counted",
		2,
	),
	row(
		"goatShoulder",
		cube(40),
		PRESSURE,
		"forkTender",
		[40, 66],
		"forty minutes to an hour, coming up counted",
		2,
	),
];
