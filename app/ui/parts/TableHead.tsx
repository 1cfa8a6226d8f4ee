import { chakra } from "@chakra-ui/react/styled-system";

/** One column of a table: its words, and whether figures stand in it. */
export interface Column {
	readonly words: string;
	readonly number?: boolean;
	/** Left out where there is no room for it. */
	readonly hideBelow?: "sm" | "md";
	readonly width?: string;
}

/** The head of a table; figures stand at the right. */
export function TableHead({ columns }: { readonly columns: readonly Column[] }) {
	return (
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
	);
}
