/** Written by `npm run calibrate`; see docs/calibration.md. Do not edit by hand. */
export const CALIBRATED = {
	/** Softening at the reference, per minute, for a cut whose factor is 1. */
	atReference_perMin: 0.008667,
	reference_C: 95,
	/** kJ/mol */
	activation_kJ: 112.2,
	/** Softening at each mark; fork-tender is 1. */
	marks: {
		forkTender: 1,
		sliceable: 0.555,
		shredding: 1.302,
		fallingApart: 1.958,
	},
	/** How fast each group of cuts softens, against pork shoulder. */
	factors: {
		pork: 1,
		beef: 0.6946,
		slow: 0.6472,
		veal: 1.246,
		mutton: 0.7584,
		duck: 2.154,
		chicken: 9.51,
		turkey: 3.837,
		squid: 1.955,
		root: 3.852,
	},
} as const;
