import { createRequire } from "node:module";
import type { MaxRectsPacker as Packer } from "maxrects-packer";
import {
	areaOf,
	chooseByBids,
	choosePansWith,
	deliveryOf,
	footprint,
	insideAt,
	type PanChoice,
	type PanLoad,
	type PanShape,
	type PanType,
	type Piece,
	packLayer,
	packMixed,
} from "#core/pans";
import { integerSolver } from "#server/integerSolver";
import { median, report, timed } from "./table.ts";

/** It is built for require alone. */
const { MaxRectsPacker } = createRequire(import.meta.url)("maxrects-packer") as {
	MaxRectsPacker: typeof Packer;
};

const PIECES = 200;
const GAP_MM = 10;
const PIECE = { shape: "block", length_mm: 85, width_mm: 60, height_mm: 48, weight_g: 258 } as const;
const PANS: readonly (readonly [string, PanShape])[] = [
	["GN 1/1-100", { gn: "1/1", depth_mm: 100 }],
	["GN 2/1-100", { gn: "2/1", depth_mm: 100 }],
	["round 360", { round: { diameter_mm: 360, height_mm: 60 } }],
];

/** Packing 200 pieces and choosing pans for a large day, against others and against what is proven. */
export function benchPans(): void {
	console.log(`\nPacking ${PIECES} pieces of 85 × 60 mm, gap ${GAP_MM} mm`);
	for (const [name, pan] of PANS) benchPacking(name, pan);
	benchChoosing();
}

function benchPacking(name: string, pan: PanShape): void {
	const floor = insideAt(pan, 0);
	const equal_ms = median(timed(20, () => packMixed(floor, deliveryOf(PIECE, PIECES, 0, 1), way(0))));
	const perPan = packLayer(floor, PIECE, GAP_MM).length;
	const { length_mm, width_mm } = footprint(PIECE);
	const areaBound = Math.floor(areaOf(floor) / ((length_mm + GAP_MM) * (width_mm + GAP_MM)));
	report(
		`${name}, equal: pieces a pan`,
		String(perPan),
		`area alone ${areaBound}; all laid ${equal_ms.toFixed(0)} ms`,
	);
	for (const spread of [0.12, 0.25]) {
		const delivery = deliveryOf(PIECE, PIECES, spread, 1);
		const first = packMixed(floor, delivery, way(0));
		const first_ms = median(timed(5, () => packMixed(floor, delivery, way(0))));
		const improved = packMixed(floor, delivery, way(40));
		const improved_ms = timed(1, () => packMixed(floor, delivery, way(40)))[0] ?? Number.NaN;
		const general = generalBins(pan, delivery);
		report(
			`${name}, ± ${spread * 100} %: pans at once, then after 40 rounds`,
			`${first.pans.length}, ${improved.pans.length}`,
			`${first_ms.toFixed(0)} and ${improved_ms.toFixed(0)} ms; area alone ${first.bound}${general}`,
		);
	}
}

function way(rounds: number) {
	return { gap_mm: GAP_MM, seed: 1, rounds };
}

/** What the general packer of rectangles makes of it; it knows no rounds. */
function generalBins(pan: PanShape, delivery: readonly Piece[]): string {
	const floor = insideAt(pan, 0);
	if (floor.kind === "circle") return "";
	let bins = 0;
	const ms = median(
		timed(5, () => {
			const general = new MaxRectsPacker(floor.length_mm, floor.width_mm, 0, {
				smart: false,
				pot: false,
				square: false,
				allowRotation: true,
			});
			for (const [index, piece] of delivery.entries()) {
				const { length_mm, width_mm } = footprint(piece);
				general.add(length_mm + GAP_MM, width_mm + GAP_MM, index);
			}
			bins = general.bins.length;
		}),
	);
	return `; general packer ${bins} in ${ms.toFixed(0)} ms`;
}

const DISHES = 8;
const COVERS = 1200;
const STOCK: readonly PanType[] = [
	{ id: "a", name: "GN 1/1-65", shape: { gn: "1/1", depth_mm: 65 }, stock: 60 },
	{ id: "b", name: "GN 1/1-100", shape: { gn: "1/1", depth_mm: 100 }, stock: 420 },
	{ id: "c", name: "GN 1/1-150", shape: { gn: "1/1", depth_mm: 150 }, stock: 60 },
	{ id: "d", name: "GN 1/2-100", shape: { gn: "1/2", depth_mm: 100 }, stock: 120 },
	{ id: "e", name: "GN 1/3-100", shape: { gn: "1/3", depth_mm: 100 }, stock: 60 },
	{ id: "f", name: "GN 2/1-100", shape: { gn: "2/1", depth_mm: 100 }, stock: 30 },
];
const LIMITS = { headspace_mm: 25, liftLimit_kg: 15 };

function benchChoosing(): void {
	const loads = Array.from({ length: DISHES }, (_, dish): PanLoad => {
		const piece: Piece = {
			...PIECE,
			length_mm: 70 + dish * 6,
			width_mm: 50 + dish * 3,
			weight_g: 200 + dish * 25,
		};
		const bed = COVERS * 0.06;
		return {
			piece,
			pieces: COVERS,
			gap_mm: GAP_MM,
			line: { below_mm: 15 },
			bed: { volume_l: bed, weight_kg: bed },
		};
	});
	console.log(`\nPans for ${DISHES} dishes × ${COVERS} covers out of ${STOCK.length} kinds`);
	for (const [name, stock] of [
		["enough pans", STOCK],
		["too few pans", STOCK.map((type) => ({ ...type, stock: Math.ceil(type.stock * 0.6) }))],
	] as const) {
		const solve = (program: Parameters<typeof integerSolver>[0]) => integerSolver(fresh(program));
		const choose = choosePansWith(solve);
		const proven = choose(loads, stock, LIMITS);
		const proven_ms = median(timed(5, () => choose(loads, stock, LIMITS)));
		const hand = chooseByBids(loads, stock, LIMITS);
		const hand_ms = median(timed(5, () => chooseByBids(loads, stock, LIMITS)));
		report(`${name}: HiGHS, rungs (proven) and pieces left over`, sums(proven), `${proven_ms.toFixed(0)} ms`);
		report(
			`${name}: by bids`,
			sums(hand),
			`${hand_ms.toFixed(0)} ms; ${(of(hand, "rungs") / of(proven, "rungs")).toFixed(3)} of the proven rungs`,
		);
	}
}

let runs = 0;

/** The same program under another name each time, so that no answer comes from memory. */
function fresh(program: Parameters<typeof integerSolver>[0]): typeof program {
	runs += 1;
	return {
		...program,
		rows: [...program.rows, { terms: [[program.variables[0]?.name ?? "", 1]], least: -runs }],
	};
}

function sums(choices: readonly PanChoice[]): string {
	return `${of(choices, "rungs").toFixed(0)}, ${of(choices, "unplaced")}`;
}

function of(choices: readonly PanChoice[], field: "rungs" | "unplaced"): number {
	return choices.reduce((sum, choice) => sum + choice[field], 0);
}
