/**
 * What an oven loses through its walls, seals and vents for each degree it is hotter than the
 * kitchen, W/K: about 1.2 kW for a ten-rung oven held at 160 °C. General practice.
 */
export const OVEN_LOSS_W_PER_K = 8.5;
/** Steel and lining of such an oven, heated up once, kJ/K. General practice. */
export const OVEN_HOLDS_KJ_PER_K = 25;
/** The kitchen around it, °C. */
export const KITCHEN_C = 25;
/** Share of the gas's heat that stays in the oven. General practice: 0.5 to 0.6. */
export const GAS_KEPT = 0.55;

const KJ_PER_KWH = 3600;

export interface OvenEnergy {
	readonly electricity_kWh: number;
	/** Gas burnt for the same heat. */
	readonly gas_kWh: number;
}

/**
 * Energy of one braise: heating the oven up, what the pans take, what the oven loses meanwhile.
 *
 * @param pans_kJ heat into all pans, kJ
 * @param ovens   ovens that are on for it
 */
export function ovenEnergy(pans_kJ: number, set_C: number, minutes: number, ovens = 1): OvenEnergy {
	const above_K = Math.max(0, set_C - KITCHEN_C);
	const losses_kJ = (OVEN_LOSS_W_PER_K * above_K * minutes * 60) / 1000;
	const electricity_kWh = (pans_kJ + ovens * (OVEN_HOLDS_KJ_PER_K * above_K + losses_kJ)) / KJ_PER_KWH;
	return { electricity_kWh, gas_kWh: electricity_kWh / GAS_KEPT };
}
