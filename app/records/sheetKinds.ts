import { laterDay } from "#core/time";

/** The sheets of records that are asked for. */
export const SHEET_KINDS = {
	cooling: "Cooling",
	reheating: "Reheating",
	holding: "Hot and cold holding",
	delivery: "Deliveries",
	actions: "Corrective actions",
} as const;

export type SheetKind = keyof typeof SHEET_KINDS;

export const SHEET_KIND_KEYS = Object.keys(SHEET_KINDS) as SheetKind[];

/** Which sheet, of which days. */
export interface SheetOf {
	readonly kind: SheetKind;
	readonly from: string;
	readonly to: string;
}

/** What an address asks for; the week up to today where it says nothing. */
export function sheetIn(search: URLSearchParams, today: string): SheetOf {
	const day = (name: string) => {
		const text = search.get(name) ?? "";
		return /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text)) ? text : null;
	};
	const to = day("to") ?? today;
	return {
		kind: SHEET_KIND_KEYS.find((kind) => kind === search.get("kind")) ?? "cooling",
		from: day("from") ?? laterDay(to, -6),
		to,
	};
}

export function addressOf({ kind, from, to }: SheetOf): string {
	return new URLSearchParams({ kind, from, to }).toString();
}
