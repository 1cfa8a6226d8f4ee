/** Written by `npm run calibrate`; see docs/calibration.md. Do not edit by hand. */
export const CALIBRATED = {
	/** Softening at the reference, per minute, for a cut whose factor is 1. */
	atReference_perMin: 0.007862,
	reference_C: 95,
	/** kJ/mol */
	activation_kJ: 105.6,
	/** Softening at each mark; fork-tender is 1. */
	marks: {
		forkTender: 1,
		sliceable: 0.5423,
		shredding: 1.367,
		fallingApart: 2.09,
	},
	/** Spreads of the logarithm of the minutes: what no constant explains, and the fit's own for each group. */
	spreads: {
		model: 0.1898,
		groups: {
			pork: 0.04571,
			beef: 0.04916,
			slow: 0.06209,
			veal: 0.06023,
			mutton: 0.04737,
			duck: 0.0649,
			chicken: 0.0962,
			turkey: 0.09339,
			squid: 0.09261,
			root: 0.1202,
		},
	},
	/** How fast each group of cuts softens, against pork shoulder. */
	factors: {
		pork: 1,
		beef: 0.7292,
		slow: 0.6025,
		veal: 1.347,
		mutton: 0.8201,
		duck: 1.45,
		chicken: 6.712,
		turkey: 2.524,
		squid: 2.28,
		root: 3.835,
	},
} as const;
