import { chakra } from "@chakra-ui/react/styled-system";
import type { LineView } from "./lineView.ts";
import { Muted, Table } from "./parts.tsx";

export interface LineGroup {
	/** Empty where there is one group only. */
	readonly group: string;
	readonly rows: readonly LineView[];
}

/** Every line three ways: amount, share of the main, and per portion. */
export function LineTable({ groups }: { readonly groups: readonly LineGroup[] }) {
	return (
		<Table>
			<thead>
				<tr>
					<th scope="col">What</th>
					<th scope="col" className="number">
						Amount
					</th>
					<th scope="col" className="number">
						Of main
					</th>
					<chakra.th scope="col" className="number" hideBelow="sm">
						A portion
					</chakra.th>
				</tr>
			</thead>
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
