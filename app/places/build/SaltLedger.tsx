import { chakra } from "@chakra-ui/react/styled-system";
import { Heading, Muted } from "../../ui/parts/parts.tsx";
import type { AccountView, SaltRow } from "./account.view.ts";

const Rows = chakra("ul", {
	base: { display: "grid", gridTemplateColumns: "minmax(0,1fr) auto auto", columnGap: "20px" },
});
const Row = chakra("li", {
	base: {
		display: "grid",
		gridColumn: "1 / -1",
		gridTemplateColumns: "subgrid",
		borderTop: "1px solid",
		borderColor: "hair",
		paddingBlock: "5px",
		fontVariantNumeric: "tabular-nums",
		"& > :not(:first-of-type)": { textAlign: "end" },
	},
});

/** Salt line by line: where it comes from, and where it is when the meat is lifted. */
export function SaltLedger({ view: { salt, saltEnds } }: { readonly view: AccountView }) {
	if (salt.length === 0) return null;
	return (
		<chakra.section marginTop="12px">
			<Heading marginBottom="6px">Salt, line by line</Heading>
			<List rows={salt} label="Where the salt comes from" />
			<chakra.p marginTop="8px">
				<Muted>When it is lifted</Muted>
			</chakra.p>
			<List rows={saltEnds} label="Where the salt is when it is lifted" />
		</chakra.section>
	);
}

function List({ rows, label }: { readonly rows: readonly SaltRow[]; readonly label: string }) {
	return (
		<Rows aria-label={label}>
			{rows.map(({ name, mass, share, isHidden }) => (
				<Row key={name}>
					<span>
						{name}
						{isHidden ? <Muted> comes hidden</Muted> : null}
					</span>
					<b>{mass}</b>
					<span>{share}</span>
				</Row>
			))}
		</Rows>
	);
}
