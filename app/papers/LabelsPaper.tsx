import { chakra } from "@chakra-ui/react/styled-system";
import { Paper, SinceNumber } from "../ui/parts/Paper.tsx";
import { shownAs } from "../ui/parts/shown.ts";
import type { LabelsView, PanLabel } from "./labels.view.ts";

type LabelsOnPaper = LabelsView & {
	/** What is another than in the number of its day. */
	readonly since: string;
};

/** A label for each pan of one dish. */
export function LabelsPaper({ view }: { readonly view: LabelsOnPaper }) {
	return (
		<Paper aria-label={`Pan labels, ${view.dish}`}>
			<chakra.h1 fontFamily="head" fontWeight="700" fontSize="1.4em" className="screenOnly">
				Pan labels
			</chakra.h1>
			<SinceNumber words={view.since} />
			{view.refused === null ? null : <p>There is no plan for this: {view.refused}</p>}
			<chakra.ul
				display="grid"
				gap="6mm"
				gridTemplateColumns={{ base: "minmax(0,1fr)", sm: "repeat(2, minmax(0,1fr))" }}
				_print={{ gridTemplateColumns: "repeat(2, 1fr)" }}
			>
				{view.labels.map((label) => (
					<Label key={label.number} label={label} view={view} />
				))}
			</chakra.ul>
		</Paper>
	);
}

/** What is stuck to the rim of one pan. */
function Label({ label, view }: { readonly label: PanLabel; readonly view: LabelsView }) {
	return (
		<chakra.li border="2px solid black" padding="4mm" breakInside="avoid">
			<chakra.div display="flex" justifyContent="space-between" gap="4mm" alignItems="baseline">
				<chakra.b fontFamily="head" fontSize="1.3em" lineHeight="1.1">
					{view.dish}
				</chakra.b>
				<chakra.b fontFamily="head" fontSize="1.5em" whiteSpace="nowrap">
					{label.number}
				</chakra.b>
			</chakra.div>
			<p>
				{view.sitting}, {view.service} · <chakra.span whiteSpace="nowrap">{label.pan}</chakra.span>
			</p>
			<chakra.dl
				display="grid"
				gridTemplateColumns="repeat(3, minmax(0,1fr))"
				gap="2mm 4mm"
				marginBlock="3mm"
			>
				{label.figures.map(({ label: words, figure, shown }) => (
					<chakra.div key={words} display="flex" flexDirection="column-reverse" justifyContent="flex-end">
						<dt>{words}</dt>
						<chakra.dd fontFamily="head" fontWeight="700" fontSize="1.25em" lineHeight="1.1">
							<span {...shownAs(shown)}>{figure}</span>
						</chakra.dd>
					</chakra.div>
				))}
			</chakra.dl>
			<p>Allergens: {view.allergens}.</p>
			<chakra.p marginTop="2mm">Packed by ________ at ________ Core ________</chakra.p>
		</chakra.li>
	);
}
