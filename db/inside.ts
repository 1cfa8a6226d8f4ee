import type { AllergenFound, Ingredient } from "#core/recipe";
import { type DocOf, declaredNow, ingredientsOf, type RecordEntry } from "#core/records";
import { readBoughtOnly } from "./knownIngredients.ts";
import { readDeliveries, readMade } from "./record.ts";
import type { Reader } from "./Store.ts";

/** What is in a lot, through all lots that it was made from. */
export interface LotInside {
	/** Deliveries that it or any of its sources was made from. */
	readonly deliveries: readonly RecordEntry<"delivery">[];
	/** Lots that are in it, through all of them. */
	readonly sources: readonly DocOf<"lot">[];
	/** Those it was made from itself. */
	readonly from: readonly DocOf<"lot">[];
	/** What it declares by all that is known now; null where nobody knows. */
	readonly declared: readonly AllergenFound[] | null;
}

/**
 * Reads what is in some lots, and what they declare for it.
 *
 * @param known what is bought, where it was read already
 */
export async function readInside(
	db: Reader,
	docs: readonly DocOf<"lot">[],
	known?: ReadonlyMap<string, Ingredient>,
): Promise<(doc: DocOf<"lot">) => LotInside> {
	const made = await readSources(db, docs);
	const all = [...docs, ...made.values()];
	const delivered = new Map(
		(await readDeliveries(db, [...new Set(all.flatMap(({ from }) => from))])).map((entry) => [
			entry.doc.delivery,
			entry,
		]),
	);
	const deliveriesOf = ({ from }: DocOf<"lot">) => from.flatMap((number) => delivered.get(number) ?? []);
	const names = [...new Set(all.flatMap((doc) => ingredientsOf(doc, deliveriesOf(doc))))];
	const bought = known ?? (await readBoughtOnly(db, names));
	const sourcesOf = (doc: DocOf<"lot">) => (doc.fromLots ?? []).flatMap((lot) => made.get(lot) ?? []);
	return (doc) => {
		const declaredOf = (one: DocOf<"lot">, path: readonly number[]): AllergenFound[] | null =>
			declaredNow(one, {
				known: bought,
				deliveries: deliveriesOf(one),
				sources: (one.fromLots ?? [])
					.filter((lot) => !path.includes(lot))
					.map((lot) => {
						const source = made.get(lot);
						// A source that was struck out is nothing that anybody knows.
						return source ? declaredOf(source, [...path, lot]) : null;
					}),
			});
		const through = new Map<number, DocOf<"lot">>();
		const add = (one: DocOf<"lot">) => {
			for (const source of sourcesOf(one)) {
				if (through.has(source.lot)) continue;
				through.set(source.lot, source);
				add(source);
			}
		};
		add(doc);
		const sources = [...through.values()];
		return {
			sources,
			from: sourcesOf(doc),
			deliveries: [doc, ...sources].flatMap(deliveriesOf),
			declared: declaredOf(doc, [doc.lot]),
		};
	};
}

/** Lots that are in some lots, through all of them, by number. */
async function readSources(
	db: Reader,
	docs: readonly DocOf<"lot">[],
): Promise<ReadonlyMap<number, DocOf<"lot">>> {
	const found = new Map<number, DocOf<"lot">>();
	const asked = new Set<number>();
	let next = docs.flatMap(({ fromLots = [] }) => fromLots);
	while (next.length > 0) {
		for (const lot of next) asked.add(lot);
		const made = await readMade(db, [...new Set(next)]);
		for (const { doc } of made) found.set(doc.lot, doc);
		next = made.flatMap(({ doc }) => doc.fromLots ?? []).filter((lot) => !asked.has(lot));
	}
	return found;
}
