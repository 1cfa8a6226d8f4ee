import { chakra } from "@chakra-ui/react/styled-system";
import { useState } from "react";
import { Wrong } from "./Field.tsx";

const Box = chakra("label", {
	base: {
		position: "relative",
		display: "flex",
		flexWrap: "wrap",
		alignItems: "center",
		gap: "6px 14px",
		minHeight: "56px",
		padding: "6px 14px 6px 6px",
		border: "1.5px dashed",
		borderColor: "edge",
		cursor: "pointer",
		"& b": {
			display: "inline-flex",
			alignItems: "center",
			minHeight: "44px",
			paddingInline: "16px",
			border: "2px solid",
			borderColor: "edge",
			fontFamily: "head",
			fontWeight: 650,
			fontSize: "17px",
		},
		"& input": { position: "absolute", inset: 0, opacity: 0, cursor: "pointer", width: "100%" },
		"&:hover b": { borderColor: "ink" },
		"&:has(:focus-visible)": { outline: "3px solid", outlineColor: "focus", outlineOffset: "2px" },
	},
});

interface FileFieldProps {
	readonly label: string;
	readonly name: string;
	/** Kinds of file, as the browser names them. */
	readonly accept: string;
	readonly wrong?: string | undefined;
}

/** A file from this device, chosen or dropped here; it says which one it holds. */
export function FileField({ label, name, accept, wrong }: FileFieldProps) {
	const [chosen, setChosen] = useState<string | null>(null);
	return (
		<div>
			<Box>
				<b aria-hidden>Choose a file</b>
				<chakra.span minWidth="0" overflowWrap="anywhere" color={chosen === null ? "muted" : "ink"}>
					{chosen ?? "or drop it here"}
				</chakra.span>
				<input
					type="file"
					name={name}
					accept={accept}
					aria-label={label}
					aria-invalid={wrong ? true : undefined}
					onChange={({ currentTarget: { files } }) => setChosen(files?.[0]?.name ?? null)}
				/>
			</Box>
			{wrong ? <Wrong>{wrong}</Wrong> : null}
		</div>
	);
}
