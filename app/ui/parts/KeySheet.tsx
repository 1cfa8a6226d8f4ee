import { chakra } from "@chakra-ui/react/styled-system";
import { useRef, useState } from "react";
import { Act, Heading, Key } from "./parts.tsx";
import { actionsHere } from "./ShortKeys.tsx";

const Dialog = chakra("dialog", {
	base: {
		border: "2px solid",
		borderColor: "edge",
		bg: "sheet",
		color: "ink",
		padding: "20px 24px",
		width: "min(560px, calc(100vw - 28px))",
		"&::backdrop": { background: "rgb(10 16 20 / .55)" },
	},
});

const List = chakra("dl", {
	base: {
		display: "grid",
		gridTemplateColumns: "auto 1fr",
		gap: "8px 16px",
		marginBlock: "16px 20px",
		alignItems: "center",
	},
});

interface KeyedAction {
	readonly key: string;
	readonly does: string;
}

/** The keys of the page that is open, read from its own actions, so the sheet cannot be wrong. */
export function KeySheet() {
	const dialog = useRef<HTMLDialogElement>(null);
	const [keys, setKeys] = useState<readonly KeyedAction[]>([]);
	const open = () => {
		setKeys(
			actionsHere().map((element) => ({
				key: element.getAttribute("aria-keyshortcuts") ?? "",
				does: nameOf(element),
			})),
		);
		dialog.current?.showModal();
	};
	return (
		<>
			<Act
				kind="quiet"
				type="button"
				onClick={open}
				aria-keyshortcuts="?"
				className="screenOnly"
				hideBelow="md"
			>
				Keys <Key aria-hidden>?</Key>
			</Act>
			<Dialog ref={dialog} aria-labelledby="key-sheet">
				<Heading id="key-sheet">Keys on this page</Heading>
				<List>
					{keys.map(({ key, does }) => (
						<KeyRow key={key} short={key} does={does} />
					))}
				</List>
				<form method="dialog">
					<Act kind="next">Close</Act>
				</form>
			</Dialog>
		</>
	);
}

function KeyRow({ short, does }: { readonly short: string; readonly does: string }) {
	return (
		<>
			<dt>
				<Key fontSize="17px" padding="5px 10px">
					{short}
				</Key>
			</dt>
			<dd>{does}</dd>
		</>
	);
}

/** What an action calls itself, without its key. */
function nameOf(element: HTMLElement): string {
	const label = element.getAttribute("aria-label") ?? element.dataset.keyName;
	if (label) return label;
	const copy = element.cloneNode(true) as HTMLElement;
	for (const key of copy.querySelectorAll("kbd")) key.remove();
	return copy.textContent?.trim() ?? "";
}
