interface Point {
	readonly x: number;
	readonly y: number;
}

/** Rounds after which marks that still touch stay so: there is no room for them. */
const ROUNDS = 400;

/**
 * Marks that would lie on one another, pushed apart until each can be read: those that stand free
 * stay where they are.
 *
 * @param points where each belongs, px
 * @param apart  from the middle of one to the middle of another, px
 * @param plot   within which all stay, px
 */
export function spreadMarks(
	points: readonly Point[],
	apart: number,
	plot: { readonly width: number; readonly height: number },
): Point[] {
	const marks = points.map(({ x, y }) => ({ x, y }));
	const pairs = marks.flatMap((one, index) =>
		marks.slice(index + 1).map((other, further) => ({ one, other, turn: index + 1 + further })),
	);
	for (let round = 0; round < ROUNDS; round += 1) {
		const touching = pairs.filter(({ one, other, turn }) => pushed(one, other, apart, turn));
		if (touching.length === 0) break;
		for (const mark of touching.flatMap(({ one, other }) => [one, other])) {
			mark.x = Math.min(plot.width, Math.max(0, mark.x));
			mark.y = Math.min(plot.height, Math.max(0, mark.y));
		}
	}
	return marks;
}

/** Pushes two marks apart where they touch; in a direction of their own where they lie on each other. */
function pushed(
	one: { x: number; y: number },
	other: { x: number; y: number },
	apart: number,
	turn: number,
): boolean {
	const [dx, dy] = [other.x - one.x, other.y - one.y];
	const distance = Math.hypot(dx, dy);
	if (distance >= apart - 1e-6) return false;
	const angle = distance > 0.01 ? Math.atan2(dy, dx) : turn * GOLDEN;
	const half = (apart - distance) / 2 + 0.05;
	one.x -= Math.cos(angle) * half;
	one.y -= Math.sin(angle) * half;
	other.x += Math.cos(angle) * half;
	other.y += Math.sin(angle) * half;
	return true;
}

/** Turns by so much never point the same way twice. */
const GOLDEN = Math.PI * (3 - Math.sqrt(5));
