import { chakra } from "@chakra-ui/react/styled-system";
import type { ComponentProps, ReactNode } from "react";
import { memo, useId } from "react";

/** What is wrong takes the whole row, so that its words are read in a line. */
const Label = chakra("label", {
	base: {
		display: "grid",
		gap: "4px",
		minWidth: 0,
		// A name of two lines does not push its field out of the row.
		alignContent: "end",
		"&:has(> [data-wrong])": { gridColumn: "1 / -1", flexBasis: "100%" },
	},
});
/** Room for a field in a row of them; what is wrong with it takes the whole row. */
export const Slot = chakra("div", {
	base: { minWidth: 0, "&:has([data-wrong])": { flexBasis: "100%", width: "100%", maxWidth: "none" } },
});
const Words = chakra("span", { base: { color: "muted", fontSize: "16px" } });
/** What is wrong with a field, in a line of its own under it. */
export const Wrong = chakra("span", {
	base: {
		bg: "note",
		borderLeft: "4px solid",
		borderColor: "mahogany",
		padding: "4px 10px",
		fontWeight: 650,
		fontSize: "16px",
		"&::before": { content: '"▲ "' },
	},
});
const Row = chakra("span", { base: { display: "flex", alignItems: "center", gap: "6px" } });

const CONTROL = {
	bg: "sheet",
	border: "1.5px solid",
	borderColor: "edge",
	borderRadius: 0,
	minHeight: "44px",
	padding: "8px 10px",
	fontSize: "17px",
	width: "100%",
	minWidth: 0,
	"&[aria-invalid=true]": { borderColor: "next", borderWidth: "3px" },
} as const;

export const Input = chakra("input", { base: CONTROL });
export const Select = chakra("select", { base: CONTROL });
/** Left alone while nothing of it changes: drawn again, it would lose what is marked and where one writes. */
export const Area = memo(
	chakra("textarea", {
		base: { ...CONTROL, minHeight: "76px", resize: "vertical", fieldSizing: "content" },
	}),
);
/** One line of words that is always shown whole: where it has no room it is broken, and nothing of it is cut off. */
export const WholeLine = chakra(
	"textarea",
	{ base: { ...CONTROL, resize: "none", overflow: "hidden", fieldSizing: "content", lineHeight: 1.35 } },
	{ defaultProps: { rows: 1 } },
);

interface About {
	readonly label: string;
	/** What is wrong with what was typed, from the server. */
	readonly wrong?: string | undefined;
	/** Unit or hint after the control. */
	readonly after?: ReactNode;
}

/** What a control says of itself to those who cannot see the message beside it. */
function useAbout(wrong: string | undefined) {
	const id = useId();
	return {
		id,
		about: wrong ? ({ "aria-invalid": true, "aria-describedby": id } as const) : {},
	};
}

export function Field({ label, wrong, after, ...input }: About & ComponentProps<typeof Input>) {
	const { id, about } = useAbout(wrong);
	return (
		<Label>
			<Words>{label}</Words>
			<Row>
				<Input {...input} {...about} />
				{after ? <Words whiteSpace="nowrap">{after}</Words> : null}
			</Row>
			{wrong ? (
				<Wrong id={id} data-wrong>
					{wrong}
				</Wrong>
			) : null}
		</Label>
	);
}

export function Choice({ label, wrong, after, children, ...select }: About & ComponentProps<typeof Select>) {
	const { id, about } = useAbout(wrong);
	return (
		<Label>
			<Words>{label}</Words>
			<Row>
				<Select {...select} {...about}>
					{children}
				</Select>
				{after ? <Words>{after}</Words> : null}
			</Row>
			{wrong ? (
				<Wrong id={id} data-wrong>
					{wrong}
				</Wrong>
			) : null}
		</Label>
	);
}

export function LongText({ label, wrong, after: _, ...area }: About & ComponentProps<typeof Area>) {
	const { id, about } = useAbout(wrong);
	return (
		<Label>
			<Words>{label}</Words>
			<Area {...area} {...about} />
			{wrong ? (
				<Wrong id={id} data-wrong>
					{wrong}
				</Wrong>
			) : null}
		</Label>
	);
}
