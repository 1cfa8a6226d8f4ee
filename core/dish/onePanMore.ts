import { allVessels, type Kitchen } from "../kitchen/index.ts";
import type { ChoosePans, PanChoice, PanType } from "../pans/index.ts";
import type { SizedDish } from "./SizedDish.ts";

/** What one more pan of a kind would spare the whole sitting; each at least 0. */
export interface PanSaving {
	readonly type: PanType;
	readonly pieces: number;
	readonly rungs: number;
	readonly liquid_l: number;
}

/** Less liquid than this is not worth a pan, litres. */
const WORTH_SAYING_L = 0.2;

/**
 * For each kind of pan: the sitting with one more of it, against the sitting as it is. Kinds
 * that would spare nothing are left out; the most useful stand first.
 */
export function onePanMore(dishes: readonly SizedDish[], kitchen: Kitchen, choose: ChoosePans): PanSaving[] {
	const loads = dishes.map(({ load }) => load);
	const { equipment, policy } = kitchen;
	const stock = allVessels(equipment);
	const isAsked = ({ id }: PanType) => loads.some(({ among }) => among?.includes(id) ?? true);
	const now = totals(choose(loads, stock, policy));
	return stock
		.filter(isAsked)
		.map((type) => {
			const more = stock.map((pan) => (pan === type ? { ...pan, stock: pan.stock + 1 } : pan));
			const then = totals(choose(loads, more, policy));
			return {
				type,
				pieces: now.pieces - then.pieces,
				rungs: now.rungs - then.rungs,
				liquid_l: now.liquid_l - then.liquid_l,
			};
		})
		.filter(spares)
		.sort((a, b) => b.pieces - a.pieces || b.rungs - a.rungs || b.liquid_l - a.liquid_l);
}

/** Fewer pieces without a pan; or as many, and less oven or liquid. */
function spares({ pieces, rungs, liquid_l }: PanSaving): boolean {
	if (pieces !== 0) return pieces > 0;
	return rungs > 0 || (rungs === 0 && liquid_l > WORTH_SAYING_L);
}

function totals(choices: readonly PanChoice[]) {
	const sum = (measured: (choice: PanChoice) => number) =>
		choices.reduce((all, choice) => all + measured(choice), 0);
	return {
		pieces: sum(({ unplaced }) => unplaced),
		rungs: sum(({ rungs }) => rungs),
		liquid_l: sum(({ liquid_l }) => liquid_l),
	};
}
