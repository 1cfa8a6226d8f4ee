import { chakra } from "@chakra-ui/react/styled-system";
import type { ComponentType, ReactNode } from "react";
import { Table } from "./parts.tsx";

/** One column of a table: its words, and what stands in it for a row. */
export interface Column<Row> {
	readonly words: string;
	readonly cell: (row: Row) => ReactNode;
	/** Figures stand at the right. */
	readonly number?: boolean;
	/** Left out where there is no room for it. */
	readonly hideBelow?: "sm" | "md";
	/** On one line however long it is, or broken wherever room ends. */
	readonly wrap?: "never" | "anywhere";
	readonly width?: string;
}

/** Rows under a heading of their own. */
export interface RowGroup<Row> {
	/** Empty where there is one group only. */
	readonly heading: string;
	readonly rows: readonly Row[];
}

/** A row with something of its own, such as a place where a pan can be dropped. */
export type RowFrame<Row> = ComponentType<{ readonly row: Row; readonly children: ReactNode }>;

interface ColumnTableProps<Row> {
	readonly columns: readonly Column<Row>[];
	readonly rows?: readonly Row[];
	readonly groups?: readonly RowGroup<Row>[];
	readonly keyOf: (row: Row) => string | number;
	/** A table on paper takes its looks from the sheet. */
	readonly onPaper?: boolean;
	/** Without the words over the columns, where each row says what it is. */
	readonly headless?: boolean;
	readonly frame?: RowFrame<Row>;
}

const WRAPS = { never: { whiteSpace: "nowrap" }, anywhere: { overflowWrap: "anywhere" } } as const;

/** A table said once, by its columns: head and cells cannot fall out of step. */
export function ColumnTable<Row>(props: ColumnTableProps<Row>) {
	const { columns, rows = [], onPaper = false, headless = false } = props;
	const groups = props.groups ?? [{ heading: "", rows }];
	const Frame = props.frame ?? PlainRow;
	const As = onPaper ? "table" : Table;
	return (
		<As>
			{headless ? null : (
				<thead>
					<tr>
						{columns.map(({ words, number, hideBelow, width }) => (
							<chakra.th
								key={words}
								scope="col"
								className={number ? "number" : undefined}
								{...(hideBelow ? { hideBelow } : {})}
								{...(width ? { width } : {})}
							>
								{words}
							</chakra.th>
						))}
					</tr>
				</thead>
			)}
			{groups.map((group) => (
				<tbody key={group.heading}>
					{group.heading ? (
						<tr>
							<chakra.th
								scope="rowgroup"
								colSpan={columns.length}
								{...(onPaper ? {} : { paddingTop: "12px !important" })}
							>
								{group.heading}
							</chakra.th>
						</tr>
					) : null}
					{group.rows.map((row) => (
						<Frame key={props.keyOf(row)} row={row}>
							{columns.map(({ words, cell, number, hideBelow, wrap }) => (
								<chakra.td
									key={words}
									className={number ? "number" : undefined}
									{...(hideBelow ? { hideBelow } : {})}
									{...(wrap ? WRAPS[wrap] : {})}
								>
									{cell(row)}
								</chakra.td>
							))}
						</Frame>
					))}
				</tbody>
			))}
		</As>
	);
}

function PlainRow({ children }: { readonly children: ReactNode }) {
	return <tr>{children}</tr>;
}
