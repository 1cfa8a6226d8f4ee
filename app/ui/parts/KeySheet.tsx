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
		margin: "auto",
		width: "min(760px, calc(100vw - 28px))",
		maxHeight: "calc(100vh - 28px)",
		"&::backdrop": { background: "rgb(10 16 20 / .55)" },
	},
});

const Columns = chakra("div", {
	base: {
		display: "grid",
		gridTemplateColumns: { base: "minmax(0,1fr)", md: "repeat(2, minmax(0,1fr))" },
		gap: "16px 32px",
		marginBlock: "14px 20px",
		alignItems: "start",
	},
});
const List = chakra("dl", {
	base: {
		display: "grid",
		gridTemplateColumns: "auto minmax(0,1fr)",
		gap: "8px 16px",
		marginTop: "8px",
		alignItems: "center",
	},
});

interface KeyedAction {
	readonly key: string;
	readonly does: string;
	/** It stands on every page. */
	readonly everywhere: boolean;
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
				everywhere: element.closest("header") !== null,
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
				<Heading id="key-sheet">Short keys</Heading>
				<Columns>
					<Keys title="On every page" keys={keys.filter(({ everywhere }) => everywhere)} />
					<Keys title="Here" keys={keys.filter(({ everywhere }) => !everywhere)} />
				</Columns>
				<form method="dialog">
					<Act kind="next">Close</Act>
				</form>
			</Dialog>
		</>
	);
}

function Keys({ title, keys }: { readonly title: string; readonly keys: readonly KeyedAction[] }) {
	return (
		<section>
			<chakra.h3 fontWeight="650" color="muted" borderBottom="2px solid" borderColor="steel">
				{title}
			</chakra.h3>
			<List>
				{keys.map(({ key, does }) => (
					<KeyRow key={`${key} ${does}`} short={key} does={does} />
				))}
			</List>
			{keys.length === 0 ? <p>None besides.</p> : null}
		</section>
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
