/** The cuts that the model knows. */
export const CUTS = [
	"beefChuck",
	"beefShortRib",
	"beefCheek",
	"beefShin",
	"oxtail",
	"brisket",
	"vealShin",
	"vealShoulder",
	"vealBreast",
	"lambShoulder",
	"lambNeck",
	"lambShank",
	"muttonShoulder",
	"muttonNeck",
	"goatShoulder",
	"porkShoulder",
	"porkCheek",
	"wildBoarShoulder",
	"venisonShoulder",
	"hareLeg",
	"duckLeg",
	"gooseLeg",
	"chickenThigh",
	"turkeyThigh",
	"squid",
	"celeriac",
] as const;

export type Cut = (typeof CUTS)[number];

/** The cut in a cook's words: "goat shoulder". */
export function cutWords(cut: Cut): string {
	return cut.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}
