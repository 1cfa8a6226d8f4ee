import type { PanType } from "../pans/index.ts";
import type { HeatWay } from "../trade/index.ts";
import { type CookerHeat, type Equipment, heatsItself } from "./Kitchen.ts";

/** How full each may be: slow cookers catch when they are half empty and boil over when full; pressure needs room for its steam; a bath has to stir round its bags. @see model, section L */
export const COOKER_FILL: Readonly<Record<CookerHeat, number>> = {
	slowCooker: 0.8,
	pressure: 2 / 3,
	bath: 0.5,
};

/** What a dish may be made tender in, by its heat. */
export function vesselsFor(heat: HeatWay, equipment: Equipment): readonly PanType[] {
	const { pans, pots, searPans, cookers = [] } = equipment;
	switch (heat) {
		case "oven":
			return pans;
		case "hob":
			return [...pots, ...pans.filter(isRound), ...searPans.filter(heatsItself)];
		default:
			return cookers.filter((cooker) => cooker.heat === heat);
	}
}

/** Everything that any dish may be made tender in, each once. */
export function allVessels(equipment: Equipment): readonly PanType[] {
	const all = [...equipment.pans, ...vesselsFor("hob", equipment), ...(equipment.cookers ?? [])];
	return [...new Map(all.map((vessel) => [vessel.id, vessel])).values()];
}

/** Heat of its own that a vessel brings; where it has none it stands on a burner. */
export function ownHeatOf(typeId: string, { searPans, pots, cookers = [] }: Equipment): boolean {
	const vessel = [...cookers, ...searPans, ...pots].find(({ id }) => id === typeId);
	return vessel !== undefined && heatsItself(vessel);
}

/** What is left for a dish with acid in it: nothing of bare aluminium or iron. */
export function withoutReacting(equipment: Equipment): Equipment {
	const inert = <P extends PanType>(all: readonly P[]) => all.filter(({ reacts }) => !reacts);
	const { pans, pots, searPans, trays, cookers } = equipment;
	return {
		...equipment,
		pans: inert(pans),
		pots: inert(pots),
		searPans: inert(searPans),
		trays: inert(trays),
		...(cookers ? { cookers: inert(cookers) } : {}),
	};
}

function isRound({ shape }: PanType): boolean {
	return "round" in shape || ("measured" in shape && shape.measured.outline === "round");
}
