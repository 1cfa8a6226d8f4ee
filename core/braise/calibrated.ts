/** Written by `npm run calibrate`; see docs/calibration.md. Do not edit by hand. */
export const CALIBRATED = {
	/** Softening at the reference, per minute, for a cut whose factor is 1. */
	atReference_perMin: 0.007859,
	reference_C: 95,
	/** kJ/mol */
	activation_kJ: 105.5,
	/** Softening at each mark; fork-tender is 1. */
	marks: {
		forkTender: 1,
		sliceable: 0.5423,
		shredding: 1.367,
		fallingApart: 2.089,
	},
	/** Spreads of the logarithm of the minutes: what no constant explains, and the fit's own for each group. */
	spreads: {
		model: 0.1898,
		groups: {
			pork: 0.04573,
			beef: 0.04918,
			slow: 0.06212,
			veal: 0.06026,
			mutton: 0.04738,
			duck: 0.06492,
			chicken: 0.09623,
			turkey: 0.09342,
			squid: 0.09264,
			root: 0.1203,
		},
	},
	/** How fast each group of cuts softens, against pork shoulder. */
	factors: {
		pork: 1,
		beef: 0.7293,
		slow: 0.6026,
		veal: 1.347,
		mutton: 0.8202,
		duck: 1.45,
		chicken: 6.698,
		turkey: 2.523,
		squid: 2.279,
		root: 3.831,
	},
} as const;
