/** What a supper of the tests is put in with. */
export const SUPPER = {
	name: "Supper",
	room: "Hall",
	serviceAt: Date.UTC(2026, 10, 28, 19, 30),
	covers: 140,
	hands: 3,
	note: "",
};
