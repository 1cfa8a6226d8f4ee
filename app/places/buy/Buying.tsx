import { chakra } from "@chakra-ui/react/styled-system";
import type { ReactNode } from "react";
import { Form } from "react-router";
import { Packs } from "../../ui/drawings/Packs.tsx";
import { Field, Select, Slot } from "../../ui/forms/Field.tsx";
import { type Column, ColumnTable } from "../../ui/parts/ColumnTable.tsx";
import { Act, ActLink, Heading, Muted } from "../../ui/parts/parts.tsx";
import { setTrial } from "../setTrial.ts";
import type { MakingView } from "./making.view.ts";

const Rows = chakra("ul", {
	base: { display: "grid", "& li": { borderTop: "1px solid", borderColor: "hair", paddingBlock: "8px" } },
});

/** The buy place: its packs and its order, what else lines can be made with, and what is left of the dish. */
export function Buying({ view }: { readonly view: MakingView }) {
	return (
		<chakra.div display="grid" gap="16px" alignContent="start">
			{view.packs ? <Packs drawing={view.packs} /> : null}
			<section>
				<Heading marginBottom="6px">Order for this dish</Heading>
				<ColumnTable columns={ORDERED} rows={view.order} keyOf={({ id }) => id} />
			</section>
			<Came came={view.came} />
			<Instead instead={view.instead} />
			<Left left={view.left} />
		</chakra.div>
	);
}

const ORDERED: readonly Column<MakingView["order"][number]>[] = [
	{ words: "What", cell: ({ name }) => name },
	{ words: "Needed", number: true, cell: ({ needed }) => needed },
	{
		words: "Order",
		number: true,
		cell: ({ order, from }) => (from === "order" ? <b>{order}</b> : FROM_WORDS[from]),
	},
];

/** What is not ordered. */
const FROM_WORDS = { store: "from the store", here: "here" } as const;

/** What came, weighed at the door, against what is wanted. */
function Came({ came }: Pick<MakingView, "came">) {
	return (
		<section>
			<Heading marginBottom="6px">What came</Heading>
			<Form method="get" preventScrollReset>
				<input type="hidden" name="place" value="buy" />
				<chakra.div display="flex" flexWrap="wrap" gap="8px 12px" alignItems="end">
					<Slot width="170px">
						<Field
							label="Weighed at the door"
							name="came"
							defaultValue={came.typed}
							wrong={came.wrong ?? undefined}
							maxLength={40}
							autoComplete="off"
						/>
					</Slot>
					<Act>Is it enough?</Act>
				</chakra.div>
			</Form>
			{came.says ? (
				<chakra.p marginTop="8px" role="status">
					<b>{came.says}</b>
				</chakra.p>
			) : null}
			<Rows>
				{came.ways.map(({ words, says, trial }) => (
					<Way key={words} words={words} says={says}>
						{trial ? (
							<Act type="button" aria-label={`Take it: ${words}`} onClick={() => setTrial(trial)}>
								Take it
							</Act>
						) : (
							<ActLink to="../../order" relative="path">
								Order sheet
							</ActLink>
						)}
					</Way>
				))}
			</Rows>
		</section>
	);
}

interface WayProps {
	readonly words: string;
	readonly says: string;
	/** What takes it. */
	readonly children: ReactNode;
}

/** One thing that can be done instead, what it does, and the button that takes it. */
function Way({ words, says, children }: WayProps) {
	return (
		<chakra.li display="grid" gridTemplateColumns="minmax(0,1fr) auto" gap="4px 12px" alignItems="center">
			<div>
				<b>{words}</b>
				<Muted display="block">{says}</Muted>
			</div>
			{children}
		</chakra.li>
	);
}

function Instead({ instead }: Pick<MakingView, "instead">) {
	if (instead.length === 0) return null;
	return (
		<section data-otherwise>
			<Heading marginBottom="6px">If something is missing</Heading>
			<Rows>
				{instead.map(({ words, changes, swaps }) => (
					<Way key={words} words={words} says={changes.join(" · ")}>
						<Act type="button" aria-label={`Take ${words}`} onClick={() => setTrial({ swaps })}>
							Take it
						</Act>
					</Way>
				))}
			</Rows>
		</section>
	);
}

function Left({ left }: Pick<MakingView, "left">) {
	if (left.length === 0) return null;
	return (
		<section>
			<Heading marginBottom="6px">What is left of it</Heading>
			<Rows>
				{left.map(({ what, mass, when, worth, to, choices, kept }) => (
					<chakra.li
						key={what}
						display="grid"
						gridTemplateColumns="minmax(0,1fr) minmax(130px, 190px)"
						gap="4px 12px"
						alignItems="center"
					>
						<div>
							<b>
								{mass} of {what}
							</b>
							<Muted display="block">
								{when}
								{worth ? ` · worth ${worth}` : ""}
							</Muted>
						</div>
						<Select
							aria-label={`Where the ${what} goes`}
							value={to}
							onChange={({ target: { value } }) =>
								setTrial({ byProducts: choices.find(({ id }) => id === value)?.uses ?? kept })
							}
						>
							<option value="">kept</option>
							{choices.map(({ id, name }) => (
								<option key={id} value={id}>
									into {name}
								</option>
							))}
						</Select>
					</chakra.li>
				))}
			</Rows>
		</section>
	);
}
