import { chakra } from "@chakra-ui/react/styled-system";
import { type ReactNode, useRef } from "react";
import { Form } from "react-router";
import type { Typed, Wrong } from "../ui/forms/form.ts";
import { StaleNote } from "../ui/forms/StaleNote.tsx";
import type { StaleView } from "../ui/forms/stale.ts";
import { LEAVES, Unsaved } from "../ui/forms/Unsaved.tsx";
import { Act, ActLink, Key, Page, Sheet } from "../ui/parts/parts.tsx";
import { Tape } from "../ui/parts/Tape.tsx";

interface EquipmentFormProps {
	readonly title: string;
	readonly isNew: boolean;
	/** The house itself cannot be taken out of use. */
	readonly canRetire?: boolean;
	readonly version: number;
	readonly stale: StaleView | null;
	/** Whether nothing of the last save was refused. */
	readonly saved: boolean;
	/** What is drawn beside the form. */
	readonly beside: ReactNode;
	/** What has to be seen before the form. */
	readonly above?: ReactNode;
	readonly children: ReactNode;
}

interface Loaded {
	readonly title: string;
	readonly isNew: boolean;
	readonly version: number;
	readonly typed: Readonly<Record<string, string | undefined>>;
}

interface Sent {
	readonly typed?: Typed;
	readonly wrong?: Wrong;
	readonly stale?: StaleView | null;
}

/** What a form shows: what is kept with what was typed over it, what of that is wrong, and what its frame says. */
export function shownIn(loaded: Loaded, sent: Sent | undefined) {
	const { title, isNew, version } = loaded;
	const stale = sent?.stale ?? null;
	return {
		typed: { ...loaded.typed, ...sent?.typed } as Readonly<Record<string, string | undefined>>,
		wrong: sent?.wrong ?? ({} as Wrong),
		frame: { title, isNew, stale, saved: sent === undefined, version: stale?.version ?? version },
	};
}

/** The form of one pan or oven, with what it looks like beside it. */
export function EquipmentForm({
	title,
	isNew,
	canRetire = !isNew,
	version,
	stale,
	saved,
	beside,
	above,
	children,
}: EquipmentFormProps) {
	const form = useRef<HTMLFormElement>(null);
	return (
		<Page>
			<chakra.h1 marginBottom="14px">
				<Tape size="large">{title}</Tape>
			</chakra.h1>
			{above}
			{stale ? <StaleNote stale={stale} /> : null}
			<chakra.div
				display="grid"
				gap="10px"
				alignItems="start"
				gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "minmax(0, 560px) minmax(0, 1fr)" }}
			>
				<Sheet>
					<Unsaved form={form} saved={saved} />
					<Form method="post" ref={form}>
						<input type="hidden" name="version" value={version} />
						<chakra.div
							display="grid"
							gap="12px 14px"
							gridTemplateColumns={{ base: "minmax(0,1fr)", sm: "repeat(2, minmax(0, 1fr))" }}
						>
							{children}
						</chakra.div>
						<chakra.div display="flex" flexWrap="wrap" gap="8px 12px" marginTop="18px">
							<Act kind="next" aria-keyshortcuts="a">
								{isNew ? "Add it" : "Save"} <Key aria-hidden>a</Key>
							</Act>
							<ActLink to="/kitchen" kind="quiet" state={LEAVES}>
								Leave it
							</ActLink>
							{canRetire ? (
								<Act kind="quiet" name="intent" value="retire" formNoValidate marginInlineStart="auto">
									Take out of use
								</Act>
							) : null}
						</chakra.div>
					</Form>
				</Sheet>
				{beside ? <Sheet>{beside}</Sheet> : null}
			</chakra.div>
		</Page>
	);
}
