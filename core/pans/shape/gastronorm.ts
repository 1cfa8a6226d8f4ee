/**
 * Gastronorm pans: outside sizes of the rim, mm, and the usual depths.
 * @see model, section C
 */
export const GASTRONORM = {
	"2/1": { length_mm: 650, width_mm: 530, shareOfOne: 2 },
	"1/1": { length_mm: 530, width_mm: 325, shareOfOne: 1 },
	"2/3": { length_mm: 354, width_mm: 325, shareOfOne: 2 / 3 },
	"1/2": { length_mm: 325, width_mm: 265, shareOfOne: 1 / 2 },
	"1/3": { length_mm: 325, width_mm: 176, shareOfOne: 1 / 3 },
	"1/4": { length_mm: 265, width_mm: 162, shareOfOne: 1 / 4 },
	"1/6": { length_mm: 176, width_mm: 162, shareOfOne: 1 / 6 },
} as const;

export type GastronormSize = keyof typeof GASTRONORM;

export const GASTRONORM_SIZES = Object.keys(GASTRONORM) as GastronormSize[];

export const GASTRONORM_DEPTHS_MM = [20, 40, 65, 100, 150, 200] as const;

/**
 * Rim all round at the top and lean of the wall (mm in for each mm down), the same for
 * the whole family: least squares of twelve usual brim volumes, largest miss 4 %.
 */
export const GASTRONORM_RIM_MM = 20;
export const GASTRONORM_TAPER = 0.0075;

/** Radius of the upright corners, mm: the usual pressing. */
export const GASTRONORM_CORNER_MM = 20;
