const MONTHS = [
	"January",
	"February",
	"March",
	"April",
	"May",
	"June",
	"July",
	"August",
	"September",
	"October",
	"November",
	"December",
] as const;

/** Months that follow one another, over the turn of the year too. */
interface Run {
	readonly first: number;
	readonly last: number;
}

/**
 * Months as a cook says them.
 *
 * @param months 1 to 12, in any order
 * @example seasonWords([11, 12, 1, 5]) // "May, Nov–Jan"
 */
export function seasonWords(months: readonly number[]): string {
	if (new Set(months).size === MONTHS.length) return "all year";
	return runsOf(months)
		.map(({ first, last }) => (first === last ? nameOf(first) : `${nameOf(first)}–${nameOf(last)}`))
		.join(", ");
}

function nameOf(month: number): string {
	return (MONTHS[month - 1] ?? "").slice(0, 3);
}

function runsOf(months: readonly number[]): Run[] {
	const is = new Set(months);
	const starts = [...is].filter((month) => !is.has(before(month))).sort((a, b) => a - b);
	return starts.map((first) => {
		let last = first;
		while (is.has(after(last))) last = after(last);
		return { first, last };
	});
}

const after = (month: number) => (month % 12) + 1;
const before = (month: number) => ((month + 10) % 12) + 1;

/**
 * Months of a text: names or numbers, alone or from one to another, by commas.
 *
 * @returns in order, each once; null where something in it is no month
 * @example readSeason("Nov–Jan, May") // [1, 5, 11, 12]
 */
export function readSeason(text: string): number[] | null {
	const months = new Set<number>();
	for (const part of text.split(/[,;]/)) {
		const ends = part.split(/\s*(?:–|—|-|\bto\b)\s*/i).map(monthOf);
		const [first, last = first] = ends;
		if (ends.length > 2 || !first || !last) return null;
		for (let month = first; ; month = after(month)) {
			months.add(month);
			if (month === last) break;
		}
	}
	return [...months].sort((a, b) => a - b);
}

/** 1 to 12 of a name, its beginning, or a number; 0 where it is none. */
function monthOf(text: string): number {
	const word = text.trim().toLowerCase();
	if (/^\d{1,2}$/.test(word)) return Number(word) <= MONTHS.length ? Number(word) : 0;
	return word.length < 3 ? 0 : MONTHS.findIndex((name) => name.toLowerCase().startsWith(word)) + 1;
}
