import { chakra } from "@chakra-ui/react/styled-system";
import {
	closestCenter,
	DndContext,
	type DragEndEvent,
	KeyboardSensor,
	PointerSensor,
	useSensor,
	useSensors,
} from "@dnd-kit/core";
import {
	SortableContext,
	sortableKeyboardCoordinates,
	useSortable,
	verticalListSortingStrategy,
} from "@dnd-kit/sortable";
import isEqual from "fast-deep-equal";
import { type KeyboardEvent, memo, type RefObject, useMemo } from "react";
import { Link } from "react-router";
import {
	clausesOf,
	type Draft,
	type DraftLine,
	type DraftLineRead,
	gramsOrNull,
	type Ingredient,
	suggestIngredients,
} from "#core/recipe";
import { GROUPS, ROLE_LAW, ROLES, type Role } from "#core/trade";
import { Input, Select, WholeLine } from "../../ui/forms/Field.tsx";
import { Act, Heading, Hidden, Muted, Note, Sheet } from "../../ui/parts/parts.tsx";
import { perCent } from "../../ui/words/reading.ts";
import { addLine, changeLine, inGroups, inOneLine, moveLine, placeLine, removeLine } from "../draftEdits.ts";
import { GROUP_LABELS } from "../groupLabels.ts";
import { changeAndFocus } from "./changeAndFocus.ts";
import { RowTools } from "./RowTools.tsx";
import { ROLE_WORDS } from "./roleWords.ts";
import { Tool } from "./Tool.tsx";

interface LineEditorProps {
	readonly draft: Draft;
	readonly read: readonly DraftLineRead[];
	readonly wrong: Readonly<Record<string, string>>;
	/** The draft by the time something is done to a line. */
	readonly latest: RefObject<Draft>;
	readonly onChange: (draft: Draft, tag?: string) => void;
	/** Where a new ingredient comes back to. */
	readonly back: string;
	/** Grams of the main; 0 while it is not known. */
	readonly main_g: number;
	/** Ingredients by every name they go by. */
	readonly named: ReadonlyMap<string, Ingredient>;
}

/** The lines of a draft as a cook types them, group by group, each with what it says. */
export function LineEditor(props: LineEditorProps) {
	const { draft, onChange } = props;
	const sensors = useSensors(
		useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
		useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
	);
	const lines = inGroups(draft.lines);
	const drop = ({ active, over }: DragEndEvent) => {
		if (!over || active.id === over.id) return;
		const there = lines.find(({ key }) => key === over.id);
		if (!there) return;
		const index = lines
			.filter(({ group }) => group === there.group)
			.findIndex(({ key }) => key === there.key);
		onChange(placeLine(draft, String(active.id), there.group, index));
	};
	return (
		<Sheet>
			<Heading>Lines</Heading>
			<Muted display="block">
				Amount, ingredient, then how it is prepared: “2 1/2 kg pork collar, trimmed, 300 g pieces”. Enter adds
				a line, Alt with the arrows moves it.
			</Muted>
			<DndContext id="lines" sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
				<SortableContext items={lines.map(({ key }) => key)} strategy={verticalListSortingStrategy}>
					{GROUPS.map((group) => (
						<Group
							key={group}
							group={group}
							lines={lines.filter((line) => line.group === group)}
							{...props}
						/>
					))}
				</SortableContext>
			</DndContext>
		</Sheet>
	);
}

interface GroupProps extends LineEditorProps {
	readonly group: DraftLine["group"];
	readonly lines: readonly DraftLine[];
}

function Group({ group, lines, draft, read, wrong, ...rest }: GroupProps) {
	const { onChange } = rest;
	const label = GROUP_LABELS[group];
	return (
		<chakra.section aria-label={label} marginTop="12px">
			<chakra.div display="flex" alignItems="center" justifyContent="space-between">
				<chakra.h3 color="muted" fontWeight="600">
					{label}
				</chakra.h3>
				<Act
					kind="quiet"
					name="intent"
					value={`addLine:${group}`}
					onClick={(event) => {
						event.preventDefault();
						const added = addLine(draft, group);
						changeAndFocus(() => onChange(added.draft), added.key);
					}}
				>
					Add a line<Hidden> to {label}</Hidden>
				</Act>
			</chakra.div>
			<chakra.ol display="grid" gap="4px">
				{lines.map((line) => (
					<LineRow
						key={line.key}
						line={line}
						says={read.find(({ key }) => key === line.key)}
						problem={wrong[`line.${line.key}`]}
						{...rest}
					/>
				))}
			</chakra.ol>
		</chakra.section>
	);
}

const Row = chakra("div", {
	base: {
		display: "grid",
		gap: "4px 6px",
		alignItems: "center",
		gridTemplateColumns: {
			base: "44px minmax(0,1fr) auto",
			md: "44px minmax(0,1fr) 164px auto",
		},
	},
});

interface LineRowProps extends Pick<LineEditorProps, "latest" | "onChange" | "back" | "main_g" | "named"> {
	readonly line: DraftLine;
	readonly says: DraftLineRead | undefined;
	readonly problem: string | undefined;
}

/** What it is taken to say is read anew with every key, and mostly says the same. */
function isSameRow(before: LineRowProps, now: LineRowProps): boolean {
	return (Object.keys(now) as (keyof LineRowProps)[]).every((prop) =>
		prop === "says" ? isEqual(before.says, now.says) : Object.is(before[prop], now[prop]),
	);
}

/** Drawn again only when it, or what it is taken to say, has changed. */
const LineRow = memo(function LineRow(props: LineRowProps) {
	const { line, says, problem, latest, onChange, back, main_g, named } = props;
	const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, isDragging } = useSortable({
		id: line.key,
	});
	const role = line.role || says?.role || "";
	const name = line.text.trim() || "empty line";
	return (
		<li
			ref={setNodeRef}
			style={{
				transform: transform ? `translate(0, ${transform.y}px)` : undefined,
				opacity: isDragging ? 0.7 : 1,
			}}
		>
			<input type="hidden" name="line" value={line.key} />
			<input type="hidden" name={`line.${line.key}.group`} value={line.group} />
			<input type="hidden" name={`line.${line.key}.school`} value={line.school ?? ""} />
			<Row>
				<Tool
					type="button"
					ref={setActivatorNodeRef}
					{...attributes}
					{...listeners}
					aria-label={`Drag: ${name}`}
				>
					⠿
				</Tool>
				<WholeLine
					id={`text-${line.key}`}
					name={`line.${line.key}.text`}
					value={line.text}
					aria-label={`Line: ${name}`}
					aria-invalid={problem ? true : undefined}
					aria-describedby={`says-${line.key}`}
					autoComplete="off"
					gridColumn={{ base: "2 / -1", md: "auto" }}
					onChange={(event) =>
						onChange(changeLine(latest.current, line.key, { text: inOneLine(event.target.value) }), line.key)
					}
					onKeyDown={(event) => lineKeys(event, latest.current, line, onChange)}
				/>
				<chakra.div gridColumn={{ base: "2", md: "auto" }}>
					<RoleChoice line={line} role={role} proposed={says?.proposed ?? true} {...{ latest, onChange }} />
				</chakra.div>
				<RowTools
					of="line"
					rowKey={line.key}
					name={name}
					onMove={(by) => onChange(moveLine(latest.current, line.key, by))}
					onRemove={() => onChange(removeLine(latest.current, line.key))}
				/>
			</Row>
			<chakra.div id={`says-${line.key}`} paddingInlineStart="50px" fontSize="16px" color="muted">
				{problem && line.text.trim() !== "" ? (
					<Note color="ink">
						▲ <b>{problem}</b>{" "}
						{says?.unknown ? (
							<Meant
								unknown={says.unknown}
								named={named}
								back={back}
								onChoose={(chosen) =>
									changeAndFocus(
										() =>
											onChange(
												changeLine(latest.current, line.key, {
													text: replaced(line.text, says.unknown, chosen),
												}),
											),
										line.key,
									)
								}
							/>
						) : null}
					</Note>
				) : (
					<>
						<Said says={says} role={role} main_g={main_g} />
						{role === "potent" ? <Exponent line={line} {...{ latest, onChange }} /> : null}
					</>
				)}
			</chakra.div>
		</li>
	);
}, isSameRow);

/** The text with another name in place of the one that the book does not have. */
function replaced(text: string, unknown = "", name: string): string {
	return text.includes(unknown) ? text.replace(unknown, () => name) : `${text} ${name}`;
}

interface MeantProps {
	readonly unknown: string;
	readonly named: ReadonlyMap<string, Ingredient>;
	readonly back: string;
	readonly onChoose: (name: string) => void;
}

/** What of the book may be meant, each to be taken with a key; or a new ingredient. */
function Meant({ unknown, named, back, onChoose }: MeantProps) {
	const found = useMemo(() => suggestIngredients(unknown, named.values()), [unknown, named]);
	return (
		<chakra.span display="inline-flex" flexWrap="wrap" gap="4px 12px" alignItems="center">
			{found.length > 0 ? "Is it" : null}
			{found.map(({ id, name }) => (
				<chakra.button
					key={id}
					type="button"
					minHeight="44px"
					textDecoration="underline"
					textUnderlineOffset="3px"
					fontWeight="650"
					cursor="pointer"
					onClick={() => onChoose(name)}
				>
					{name}
				</chakra.button>
			))}
			{found.length > 0 ? "? Or" : null}
			<Link to={`/book/ingredients/new?${new URLSearchParams({ name: unknown, back })}`}>
				add it to the book
			</Link>
		</chakra.span>
	);
}

interface SaidProps {
	readonly says: DraftLineRead | undefined;
	readonly role: Role | "";
	/** Grams of the main; 0 while it is not known. */
	readonly main_g: number;
}

/** What a line is taken to say. */
function Said({ says, role, main_g }: SaidProps) {
	if (!says?.ingredient || !says.quantity || role === "") return null;
	const { ingredient, guessed, said, quantity } = says;
	const { preparation: _, ...rest } = said;
	const grams = gramsOrNull(quantity, ingredient);
	const straight = role === "vegetable" || role === "side" || role === "salt";
	const share =
		straight && grams !== null && main_g > 0 ? `${perCent((grams / main_g) * 100)} of the main` : "";
	return (
		<>
			{guessed ? "taken as " : ""}
			<b>{ingredient.name}</b>
			{[...clausesOf(rest), share || (role === "potent" ? "follows the batch" : ROLE_LAW[role])].map(
				(words) => ` · ${words}`,
			)}
			{ingredient.allergens.length > 0 ? ` · brings ${ingredient.allergens.join(", ")}` : ""}
			{ingredient.described ? "" : " · its allergens are not described yet"}
		</>
	);
}

interface RoleChoiceProps {
	readonly line: DraftLine;
	readonly role: Role | "";
	readonly proposed: boolean;
	readonly latest: RefObject<Draft>;
	readonly onChange: LineEditorProps["onChange"];
}

function RoleChoice({ line, role, proposed, latest, onChange }: RoleChoiceProps) {
	const proposal = proposed && role !== "" ? `${ROLE_WORDS[role]} (proposed)` : "as proposed";
	return (
		<Select
			name={`line.${line.key}.role`}
			value={line.role}
			aria-label={`Role: ${line.text.trim() || "empty line"}`}
			onChange={(event) =>
				onChange(changeLine(latest.current, line.key, { role: event.target.value as Role | "" }))
			}
		>
			<option value="">{proposal}</option>
			{ROLES.map((known) => (
				<option key={known} value={known}>
					{ROLE_WORDS[known]}
				</option>
			))}
		</Select>
	);
}

/** How far a potent line follows the batch: the power its factor is taken to. */
function Exponent({ line, latest, onChange }: Pick<RoleChoiceProps, "line" | "latest" | "onChange">) {
	return (
		<chakra.span display="inline-flex" gap="6px" alignItems="center" marginInlineStart="8px">
			to the power
			<chakra.span width="64px">
				<Input
					name={`line.${line.key}.exponent`}
					value={line.exponent}
					aria-label={`Exponent: ${line.text.trim() || "empty line"}`}
					minHeight="32px !important"
					padding="2px 8px !important"
					onChange={(event) =>
						onChange(changeLine(latest.current, line.key, { exponent: event.target.value }), `${line.key}^`)
					}
				/>
			</chakra.span>
		</chakra.span>
	);
}

function lineKeys(
	event: KeyboardEvent<HTMLTextAreaElement>,
	draft: Draft,
	line: DraftLine,
	onChange: LineEditorProps["onChange"],
): void {
	if (event.key === "Enter") {
		event.preventDefault();
		const added = addLine(draft, line.group, line.key);
		changeAndFocus(() => onChange(added.draft), added.key);
	} else if (event.altKey && (event.key === "ArrowUp" || event.key === "ArrowDown")) {
		event.preventDefault();
		const by = event.key === "ArrowUp" ? -1 : 1;
		changeAndFocus(() => onChange(moveLine(draft, line.key, by)), line.key);
	} else if (event.key === "Backspace" && line.text === "") {
		event.preventDefault();
		const lines = inGroups(draft.lines);
		const before = lines[lines.findIndex(({ key }) => key === line.key) - 1];
		changeAndFocus(() => onChange(removeLine(draft, line.key)), before?.key);
	}
}
