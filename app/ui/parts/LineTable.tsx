import type { LineView } from "../words/lineView.ts";
import { type Column, ColumnTable, type RowGroup } from "./ColumnTable.tsx";
import { Muted } from "./parts.tsx";
import { shownAs } from "./shown.ts";

const AMOUNTS: readonly Column<LineView>[] = [
	{ words: "Amount", number: true, cell: ({ amount, shown }) => <b {...shownAs(shown?.amount)}>{amount}</b> },
	{ words: "Of main", number: true, cell: ({ percentOfMain }) => percentOfMain },
	{
		words: "A portion",
		number: true,
		hideBelow: "sm",
		cell: ({ perPortion, shown }) => perPortion && <span {...shownAs(shown?.portion)}>{perPortion}</span>,
	},
];

const ON_SCREEN: readonly Column<LineView>[] = [
	{
		words: "What",
		cell: ({ name, preparation, note }) => (
			<>
				{name} <Muted>{preparation}</Muted>
				{note ? <Muted display="block">{note}</Muted> : null}
			</>
		),
	},
	...AMOUNTS,
];

const ON_PAPER: readonly Column<LineView>[] = [
	{
		words: "What",
		cell: ({ name, preparation, note }) =>
			`${name}${preparation ? `, ${preparation}` : ""}${note ? ` (${note})` : ""}`,
	},
	...AMOUNTS.map(({ hideBelow: _, ...column }) => column),
];

interface LineTableProps {
	readonly groups: readonly RowGroup<LineView>[];
	readonly onPaper?: boolean;
}

/** Every line three ways: amount, share of the main, and per portion. */
export function LineTable({ groups, onPaper = false }: LineTableProps) {
	// What simmers by itself has no main and no portions: columns without a figure are left out.
	const columns = (onPaper ? ON_PAPER : ON_SCREEN).filter(({ cell }) =>
		groups.some(({ rows }) => rows.some((line) => cell(line) !== "")),
	);
	return (
		<ColumnTable
			columns={columns}
			groups={groups}
			keyOf={(line) => line.name + line.preparation}
			onPaper={onPaper}
		/>
	);
}

/** What a batch is weighed out of: what a portion gets stands on the card. */
const OF_BATCH = ON_PAPER.filter(({ words }) => words !== "A portion");

/** Every line of a batch, on paper, two ways: amount and share of the main. */
export function BatchTable({ lines }: { readonly lines: readonly LineView[] }) {
	return (
		<ColumnTable columns={OF_BATCH} rows={lines} keyOf={(line) => line.name + line.preparation} onPaper />
	);
}
