/** What a case wants at a path of the result. */
export type Wanted = number | string | boolean | null | readonly [number, number];

/** Numbers are equal when they differ by no more than this share. */
const EQUAL_SHARE = 0.005;

/**
 * The value at a path: `a.b`, `a[0].b`, `lines[name=salt].amount_g`.
 *
 * @returns undefined when nothing stands there
 */
export function valueAt(result: unknown, path: string): unknown {
	return stepsOf(path).reduce<unknown>(stepInto, result);
}

function stepsOf(path: string): string[] {
	return [...path.matchAll(/\[([^\]]*)\]|[^.[\]]+/g)].map((match) =>
		match[1] === undefined ? match[0] : `[${match[1]}]`,
	);
}

function stepInto(value: unknown, step: string): unknown {
	if (value === null || typeof value !== "object") return undefined;
	if (!step.startsWith("[")) return (value as Record<string, unknown>)[step];
	if (!Array.isArray(value)) return undefined;
	const inside = step.slice(1, -1);
	const equals = inside.indexOf("=");
	if (equals < 0) return value[Number(inside)];
	const [key, wanted] = [inside.slice(0, equals), inside.slice(equals + 1)];
	return value.find((expected) => String((expected as Record<string, unknown>)?.[key]) === wanted);
}

/** Whether a value is what a case wants there. */
export function isWanted(got: unknown, wanted: Wanted): boolean {
	if (Array.isArray(wanted)) {
		return typeof got === "number" && got >= wanted[0] && got <= wanted[1];
	}
	if (typeof wanted === "number") {
		return typeof got === "number" && Math.abs(got - wanted) <= EQUAL_SHARE * Math.abs(wanted) + 1e-12;
	}
	return got === wanted;
}
