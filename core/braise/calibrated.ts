/** Written by `npm run calibrate`; see docs/calibration.md. Do not edit by hand. */
export const CALIBRATED = {
	/** Softening at the reference, per minute, for a cut whose factor is 1. */
	atReference_perMin: 0.0095,
	reference_C: 95,
	/** kJ/mol */
	activation_kJ: 118,
	/** Softening at each mark; fork-tender is 1. */
	marks: { sliceable: 0.62, forkTender: 1, shredding: 1.45, fallingApart: 2.2 },
	/** How fast each group of cuts softens. */
	factors: {
		slow: 0.75,
		beef: 0.9,
		mutton: 1,
		pork: 1.15,
		veal: 1.3,
		duck: 1.7,
		turkey: 1.9,
		chicken: 4,
		squid: 2.2,
		root: 2.4,
	},
} as const;
