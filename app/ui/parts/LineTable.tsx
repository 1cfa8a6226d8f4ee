import { chakra } from "@chakra-ui/react/styled-system";
import type { LineView } from "../words/lineView.ts";
import { Muted, Table } from "./parts.tsx";
import { TableHead } from "./TableHead.tsx";

export interface LineGroup {
	/** Empty where there is one group only. */
	readonly group: string;
	readonly rows: readonly LineView[];
}

/** Every line three ways: amount, share of the main, and per portion. */
export function LineTable({ groups }: { readonly groups: readonly LineGroup[] }) {
	return (
		<Table>
			<TableHead
				columns={[
					{ words: "What" },
					{ words: "Amount", number: true },
					{ words: "Of main", number: true },
					{ words: "A portion", number: true, hideBelow: "sm" },
				]}
			/>
			{groups.map(({ group, rows }) => (
				<tbody key={group}>
					{group ? (
						<tr>
							<chakra.th scope="rowgroup" colSpan={4} paddingTop="12px !important">
								{group}
							</chakra.th>
						</tr>
					) : null}
					{rows.map((line) => (
						<tr key={line.name + line.preparation}>
							<td>
								{line.name} <Muted>{line.preparation}</Muted>
								{line.note ? <Muted display="block">{line.note}</Muted> : null}
							</td>
							<td className="number">
								<b>{line.amount}</b>
							</td>
							<td className="number">{line.percentOfMain}</td>
							<chakra.td className="number" hideBelow="sm">
								{line.perPortion}
							</chakra.td>
						</tr>
					))}
				</tbody>
			))}
		</Table>
	);
}
