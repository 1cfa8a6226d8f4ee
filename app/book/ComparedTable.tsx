import { ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { Muted } from "../ui/parts/parts.tsx";
import type { ComparedPart } from "./compareView.ts";

interface ComparedTableProps {
	readonly parts: readonly ComparedPart[];
	/** What the sides are called. */
	readonly from: string;
	readonly to: string;
}

/** Two versions of a card side by side: what is other, struck out on the one side and strong on the other. */
export function ComparedTable({ parts, from, to }: ComparedTableProps) {
	return (
		<ColumnTable
			columns={[
				{ words: "What", width: "20%", cell: ({ what }) => what },
				{
					words: from,
					width: "40%",
					cell: (pair) => (pair.from ? <del>{pair.from}</del> : <Muted>–</Muted>),
				},
				{ words: to, cell: (pair) => (pair.to ? <b>{pair.to}</b> : <Muted>gone</Muted>) },
			]}
			groups={parts.map(({ heading, pairs }) => ({ heading, rows: pairs }))}
			keyOf={({ what }) => what}
		/>
	);
}
