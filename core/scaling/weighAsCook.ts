import type { Role } from "../trade/index.ts";

/** Steps of a kitchen's scales: under each weight, round to this. g. @see model, section B */
export const SCALE_STEPS: readonly { readonly under_g: number; readonly step_g: number }[] = [
	{ under_g: 50, step_g: 1 },
	{ under_g: 500, step_g: 5 },
	{ under_g: 2000, step_g: 10 },
	{ under_g: Number.POSITIVE_INFINITY, step_g: 50 },
];

/** What a kitchen's scales read to, g. */
export const SCALE_READINGS_G = [1, 2, 5, 10, 20, 50] as const;

/** Finer steps, for what must not be rounded away. g. */
const FINE_STEPS_G = [10, 5, 1, 0.5, 0.1, 0.01];

/** These are never rounded by more than this share. */
const EXACT_ROLES: ReadonlySet<Role> = new Set<Role>(["salt", "thickener"]);
const EXACT_SHARE = 0.02;
/** What the usual step would round away, or to nearly another amount, is weighed to this share. */
const FINE_SHARE = 0.1;
/** Rounding further than this is another amount: half a gram is not a gram. */
const FARTHEST_SHARE = 0.25;

/**
 * An amount rounded to what a cook can weigh. Salt and thickener take a finer step
 * rather than move by more than 2 %, nothing is rounded away to zero, and nothing to an amount
 * that is further off than a quarter: what the scales do not read is told by `isFinerThan`.
 *
 * @param amount_g grams, 0 or more
 * @param finest_g what the kitchen's scales read to, g; nothing usual is rounded finer
 * @example weighAsCook(2299.4, "vegetable") // 2300
 * @example weighAsCook(11.4, "salt") // 11.5
 */
export function weighAsCook(amount_g: number, role: Role, finest_g = 1): number {
	if (amount_g <= 0) return 0;
	const usual = usualStep(amount_g, finest_g);
	const rounded = toStep(amount_g, usual);
	const exact = EXACT_ROLES.has(role);
	if (rounded > 0 && within(rounded, amount_g, exact ? EXACT_SHARE : FARTHEST_SHARE)) return rounded;
	for (const step of FINE_STEPS_G) {
		if (step >= usual) continue;
		const finer = toStep(amount_g, step);
		if (finer > 0 && within(finer, amount_g, exact ? EXACT_SHARE : FINE_SHARE)) return finer;
	}
	return amount_g;
}

/** Whether an amount lies between what the scales read, so that they cannot weigh it. */
export function isFinerThan(amount_g: number, finest_g: number): boolean {
	const steps = amount_g / finest_g;
	return Math.abs(steps - Math.round(steps)) > 1e-6;
}

/** The step of the table, or the next one that the scales can show. */
function usualStep(amount_g: number, finest_g: number): number {
	const wanted = SCALE_STEPS.find(({ under_g }) => amount_g < under_g)?.step_g ?? 50;
	return SCALE_READINGS_G.find((step) => step >= wanted && step % finest_g === 0) ?? finest_g;
}

function toStep(amount_g: number, step_g: number): number {
	return Number((Math.round(amount_g / step_g) * step_g).toFixed(2));
}

function within(rounded: number, wanted: number, share: number): boolean {
	return Math.abs(rounded - wanted) <= share * wanted + 1e-12;
}
