import { chakra } from "@chakra-ui/react/styled-system";
import { Facts } from "../../ui/parts/Facts.tsx";
import { Figure } from "../../ui/parts/parts.tsx";
import type { AccountView } from "./account.view.ts";

const COLOURS = { in: "broth", out: "hair", left: "ink" } as const;

/** The liquid of the dish as bars to one scale: in, out, left. */
export function AccountBars({ view }: { readonly view: AccountView }) {
	return (
		<chakra.div display="grid" gap="12px">
			<chakra.ul display="grid" gap="6px" aria-label="Account of the liquid">
				{view.rows.map(({ name, litres, from, to, kind }) => (
					<li key={name}>
						<chakra.div display="flex" justifyContent="space-between" gap="12px">
							<chakra.span fontWeight={kind === "left" ? 700 : 400}>{name}</chakra.span>
							<Figure fontSize={kind === "left" ? "24px" : "19px"}>{litres}</Figure>
						</chakra.div>
						<chakra.div aria-hidden height="14px" bg="place" position="relative">
							<chakra.div
								position="absolute"
								insetBlock="0"
								bg={COLOURS[kind]}
								{...(kind === "out" ? { border: "1px solid", borderColor: "edge" } : {})}
								style={{ left: `${from * 100}%`, width: `${(to - from) * 100}%` }}
							/>
						</chakra.div>
					</li>
				))}
			</chakra.ul>
			<Facts facts={view.facts} fontSize="22px" />
		</chakra.div>
	);
}
