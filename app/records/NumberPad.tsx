import { chakra } from "@chakra-ui/react/styled-system";
import { type RefObject, useRef, useState } from "react";
import { Act } from "../ui/parts/parts.tsx";

const Sheet = chakra("dialog", {
	base: {
		border: "2px solid",
		borderColor: "edge",
		bg: "sheet",
		color: "ink",
		padding: "16px 20px 20px",
		width: "min(420px, 100vw)",
		maxWidth: "100vw",
		marginTop: "auto",
		marginBottom: { base: 0, md: "auto" },
		"&::backdrop": { background: "rgb(10 16 20 / .55)" },
	},
});
const Keys = chakra("div", {
	base: { display: "grid", gridTemplateColumns: "repeat(3, 1fr)", gap: "8px", marginBlock: "12px" },
});
const PadKey = chakra("button", {
	base: {
		minHeight: "72px",
		border: "2px solid",
		borderColor: "edge",
		bg: "place",
		fontFamily: "head",
		fontWeight: 650,
		fontSize: "32px",
		cursor: "pointer",
	},
});

const KEYS = ["7", "8", "9", "4", "5", "6", "1", "2", "3", "−", "0", "."] as const;
const LONGEST = 6;

/**
 * Keys for wet hands: they write into a field of the form and send it. What is far from the
 * newest is asked about once.
 */
export function NumberPad({
	input,
	unit,
	newest,
}: {
	readonly input: RefObject<HTMLInputElement | null>;
	readonly unit: string;
	/** The newest reading, as a number; null where there is none. */
	readonly newest: number | null;
}) {
	const dialog = useRef<HTMLDialogElement>(null);
	const [typed, setTyped] = useState("");
	const [asked, setAsked] = useState(false);
	const press = (key: string) => {
		setAsked(false);
		setTyped((now) => {
			if (key === "−") return now.startsWith("−") ? now.slice(1) : `−${now}`;
			if (key === "." && now.includes(".")) return now;
			return now.length < LONGEST ? now + key : now;
		});
	};
	const write = () => {
		const value = Number(typed.replace("−", "-"));
		if (typed === "" || Number.isNaN(value)) return;
		if (!asked && newest !== null && Math.abs(value - newest) > FAR) {
			setAsked(true);
			return;
		}
		const { current } = input;
		if (!current) return;
		current.value = typed.replace("−", "-");
		dialog.current?.close();
		setTyped("");
		setAsked(false);
		current.form?.requestSubmit();
	};
	return (
		<>
			<Act type="button" onClick={() => dialog.current?.showModal()} minHeight="56px">
				Number pad
			</Act>
			<Sheet ref={dialog} aria-label="Number pad">
				<chakra.p color="muted" fontSize="20px">
					{newest === null ? "Nothing was read yet" : `Newest: ${newest} ${unit}`}
				</chakra.p>
				<chakra.output
					fontFamily="head"
					fontWeight="700"
					fontSize="72px"
					lineHeight="1.1"
					display="block"
					aria-live="polite"
				>
					{typed || "–"} <chakra.small fontSize="32px">{unit}</chakra.small>
				</chakra.output>
				{asked ? (
					<chakra.p role="alert" fontSize="20px" fontWeight="650">
						▲ {typed} {unit}, the newest is {newest}. Write it all the same?
					</chakra.p>
				) : null}
				<Keys>
					{KEYS.map((key) => (
						<PadKey
							key={key}
							type="button"
							onClick={() => press(key)}
							aria-label={key === "−" ? "minus" : key}
						>
							{key}
						</PadKey>
					))}
				</Keys>
				<chakra.div display="flex" gap="8px">
					<Act
						kind="next"
						type="button"
						onClick={write}
						flex="1"
						justifyContent="center"
						minHeight="72px"
						fontSize="24px"
					>
						Write it
					</Act>
					<Act type="button" onClick={() => setTyped((now) => now.slice(0, -1))} minHeight="72px">
						Take back
					</Act>
					<Act type="button" onClick={() => dialog.current?.close()} minHeight="72px">
						Leave it
					</Act>
				</chakra.div>
			</Sheet>
		</>
	);
}

/** So far from the newest a reading is asked about, in degrees of either kind. */
const FAR = 15;
