/** Written by `npm run calibrate`; see docs/calibration.md. Do not edit by hand. */
export const CALIBRATED = {
	/** Softening at the reference, per minute, for a cut whose factor is 1. */
	atReference_perMin: 0.007193,
	reference_C: 95,
	/** kJ/mol */
	activation_kJ: 111.7,
	/** Softening at each mark; fork-tender is 1. */
	marks: {
		forkTender: 1,
		sliceable: 0.5944,
		shredding: 1.378,
		fallingApart: 2.109,
	},
	/** Spreads of the logarithm of the minutes: what no constant explains, and the fit's own for each group. */
	spreads: {
		model: 0.1543,
		groups: {
			pork: 0.03805,
			beef: 0.04117,
			slow: 0.04922,
			veal: 0.04824,
			mutton: 0.04074,
			duck: 0.0492,
			chicken: 0.07134,
			turkey: 0.06977,
			squid: 0.0709,
			root: 0.0892,
		},
	},
	/** How fast each group of cuts softens, against pork shoulder. */
	factors: {
		pork: 1,
		beef: 0.7123,
		slow: 0.5871,
		veal: 1.239,
		mutton: 0.7919,
		duck: 1.431,
		chicken: 6.497,
		turkey: 2.4,
		squid: 1.967,
		root: 3.637,
	},
	/** How much faster than its temperatures tell it softens in a kind of heat. */
	heats: {
		stillOven: 1.186,
		fanOven: 0.9826,
		waterBath: 1.048,
		pressure: 0.7572,
		slowCooker: 0.9614,
		hob: 1.125,
	},
	/** Cuts that have practice of their own; others go by their group. */
	seen: [
		"beefChuck",
		"beefShortRib",
		"brisket",
		"beefShin",
		"beefCheek",
		"oxtail",
		"porkShoulder",
		"muttonShoulder",
		"lambShoulder",
		"lambNeck",
		"gooseLeg",
		"muttonNeck",
		"goatShoulder",
		"lambShank",
		"porkCheek",
		"wildBoarShoulder",
		"hareLeg",
		"venisonShoulder",
		"vealShin",
		"vealBreast",
		"vealShoulder",
		"duckLeg",
		"turkeyThigh",
		"chickenThigh",
		"squid",
		"celeriac",
	],
} as const;
