import { createClient } from "@libsql/client";

/** Every main view, by the address it has in the house of this database. */
export async function addressesOf(database: string): Promise<Record<string, string>> {
	const client = createClient({ url: `file:${database}` });
	const { rows } = await client.execute(
		"SELECT s.id AS sitting, s.service_at AS served, d.id AS dish FROM sitting s JOIN sitting_dish d ON d.sitting_id = s.id WHERE s.name IN ('Festival supper', 'Ferry packed lunch') ORDER BY s.name DESC, d.position",
	);
	client.close();
	const [ferried] = rows.slice(-2);
	const [goat, mutton] = rows;
	const day = `/day/${new Intl.DateTimeFormat("en-CA", { timeZone: "Atlantic/Faroe" }).format(Number(goat?.served))}`;
	const table = `/sittings/${goat?.sitting}/dishes/${goat?.dish}`;
	return {
		today: "/",
		book: "/book",
		card: "/book/goat-shoulder",
		"card, at a size": "/book/pork-collar?basis=onHand&size=12+kg",
		variant: "/book/pork-collar-apple",
		"base of a variant": "/book/pork-collar-apple/base",
		lesson: "/book/lamb-potato-rosemary/lesson",
		preparation: "/book/light-stock",
		"new recipe": "/book/new",
		writing: "/book/goat-shoulder/write",
		"writing, two mains": "/book/pork-chicken-saffron/write",
		versions: "/book/goat-shoulder/versions",
		cost: "/book/goat-shoulder/cost",
		"card for print": "/book/goat-shoulder/print",
		ingredients: "/book/ingredients?category=spice",
		ingredient: "/book/ingredients/celery",
		"new ingredient": "/book/ingredients/new",
		"in and out": "/book/exchange",
		sittings: "/sittings",
		day,
		"day, on trial": `${day}?change=${encodeURIComponent(JSON.stringify({ kind: "covers", sitting: goat?.sitting, covers: 170 }))}`,
		"day sheet": `${day}/paper`,
		"new sitting": "/sittings/new",
		sitting: `/sittings/${goat?.sitting}`,
		"long table, buy": `${table}?place=buy`,
		"long table, sear": `${table}?place=sear`,
		"long table, pan up": table,
		"long table, build": `${table}?place=build`,
		"long table, braise": `${table}?place=braise`,
		"long table, sauce": `${table}?place=sauce`,
		"long table, marinate": `/sittings/${mutton?.sitting}/dishes/${mutton?.dish}?place=marinate`,
		"long table, chill": `/sittings/${ferried?.sitting}/dishes/${ferried?.dish}?place=chill`,
		"long table, reheat": `/sittings/${ferried?.sitting}/dishes/${ferried?.dish}?place=reheat`,
		"long table, hold": `${table}?basis=covers&covers=400&uptake=62&spare=5&date=2026-12-05&time=19:00&place=hold`,
		"long table, trim": `${table}?place=trim`,
		"long table, rest": `${table}?place=rest`,
		"long table, plate": `${table}?place=plate`,
		"long table, carry": `/sittings/${ferried?.sitting}/dishes/${ferried?.dish}?place=carry`,
		"long table, on trial": `${table}?basis=covers&covers=400&uptake=62&spare=5&date=2026-12-05&time=19:00`,
		"long table, refused": `${table}?basis=onHand&covers=140&uptake=62&spare=5&date=2026-12-05&time=19:00&onHand=1+g`,
		"long table, mistyped": `${table}?basis=covers&covers=none&uptake=62&spare=5&date=2026-12-05&time=19:00`,
		sheet: `${table}/sheet`,
		"cutting note": `${table}/cutting`,
		"pan labels": `${table}/labels`,
		"order sheet": `/sittings/${goat?.sitting}/order`,
		records: "/records",
		lot: "/records/lots/3",
		"lot, spread": "/records/lots/2",
		"way of a lot": "/records/lots/3/way",
		"labels of a lot": "/records/lots/1/labels",
		"new lot": "/records/lots/new",
		"new lot of a dish": `/records/lots/new?sitting=${goat?.sitting}&dish=${goat?.dish}`,
		delivery: "/records/deliveries/1",
		"new delivery": "/records/deliveries/new",
		"lot written anew": "/records/lots/2/anew",
		"lot that nobody planned": "/records/lots/new?unplanned=1",
		"trace and recall": "/records/recall?what=ingredient&find=celery",
		"what was taken off": "/book/declarations",
		"record sheets": "/records/sheets",
		lab: "/lab",
		"training round": "/lab/rounds?round=4711&at=1",
		kitchen: "/kitchen",
		house: "/kitchen/house",
		pan: "/kitchen/pans/gn-1-1-100",
		"new pan": "/kitchen/pans/new",
		"measure a pan": "/kitchen/pans/measure",
		oven: "/kitchen/ovens/north-oven",
		cook: "/kitchen/people/ina",
		"new place": "/kitchen/places/new",
		"at this desk": "/preferences",
		"not there": "/nowhere",
	};
}

/** The production sheet of every dish of the demo. */
export async function sheetsOf(database: string): Promise<string[]> {
	const client = createClient({ url: `file:${database}` });
	const { rows } = await client.execute(
		"SELECT s.id AS sitting, d.id AS dish FROM sitting s JOIN sitting_dish d ON d.sitting_id = s.id",
	);
	client.close();
	return rows.map(({ sitting, dish }) => `/sittings/${sitting}/dishes/${dish}/sheet`);
}
