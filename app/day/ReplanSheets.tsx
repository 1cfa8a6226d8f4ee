import { chakra } from "@chakra-ui/react/styled-system";
import { type ReactNode, useId } from "react";
import { Form, useNavigation } from "react-router";
import { TimeField } from "../ui/forms/DayField.tsx";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { type Column, ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { Act, ActLink, Figure, Heading, Key, Muted, Note, Sheet } from "../ui/parts/parts.tsx";
import type { MoveView, ReplanView } from "./replan.view.ts";

const MOVE_COLUMNS: readonly Column<MoveView>[] = [
	{ words: "What", cell: ({ what }) => <b>{what}</b> },
	{
		words: "Now",
		cell: ({ is, was }) => (
			<>
				{is}
				<Muted>, was {was}</Muted>
			</>
		),
	},
	{ words: "Because", cell: ({ why }) => why },
];

export function Moves({ moves }: { readonly moves: readonly MoveView[] }) {
	return <ColumnTable columns={MOVE_COLUMNS} rows={moves} keyOf={({ id }) => id} />;
}

/** What is on trial: both days side by side, what moves and why, and the two ways on. */
export function TrialSheet({ replan: { trial } }: { readonly replan: ReplanView }) {
	const busy = useNavigation().state !== "idle";
	if (!trial) return null;
	return (
		<Sheet marginTop="14px" border="2px dashed" borderColor="ink">
			<chakra.div display="flex" flexWrap="wrap" gap="10px 24px" alignItems="center">
				<Heading>On trial</Heading>
				<chakra.p flex="1 1 300px" fontSize="19px">
					{trial.words.join("; ")}
				</chakra.p>
				<chakra.span display="inline-flex" gap="8px" flexWrap="wrap">
					<ActLink to={trial.back} aria-keyshortcuts="z" preventScrollReset>
						Put back <Key aria-hidden>z</Key>
					</ActLink>
					<Form method="post">
						{trial.changes.map((change) => (
							<input key={change} type="hidden" name="change" value={change} />
						))}
						<Act kind="next" name="intent" value="take" aria-keyshortcuts="a" disabled={busy}>
							Take it <Key aria-hidden>a</Key>
						</Act>
					</Form>
				</chakra.span>
			</chakra.div>
			{trial.unclear.map((words) => (
				<Note key={words} marginTop="10px">
					▲ A change in the address was left out: {words}
				</Note>
			))}
			<chakra.dl display="flex" flexWrap="wrap" gap="10px 32px" marginTop="12px">
				{trial.figures.map(({ label, was, is }) => (
					<div key={label}>
						<chakra.dt color="muted">{label}</chakra.dt>
						<dd>
							<Figure fontSize="22px">{is}</Figure> {was === is ? null : <Muted>was {was}</Muted>}
						</dd>
					</div>
				))}
			</chakra.dl>
			<chakra.div marginTop="12px">
				{trial.moves.length === 0 ? <p>Nothing moves.</p> : <Moves moves={trial.moves} />}
			</chakra.div>
		</Sheet>
	);
}

/** What is told of the day already, and its number. */
export function ToldSheet({
	replan: { told, issue },
	date,
}: {
	readonly replan: ReplanView;
	readonly date: string;
}) {
	return (
		<Sheet>
			<Heading>The number of this day</Heading>
			{issue ? (
				<p>
					<Figure fontSize="24px">No. {issue.number}</Figure>, issued by {issue.by}.{" "}
					{issue.differs.length === 0
						? "The day stands as it was issued."
						: `Since then ${issue.differs.length} of its tasks stand elsewhere.`}{" "}
					{issue.since}
				</p>
			) : (
				<p>Not issued yet: what is printed carries no number, and follows every change.</p>
			)}
			{issue && issue.differs.length > 0 ? (
				<details>
					<summary>What is another than in No. {issue.number}</summary>
					<Moves moves={issue.differs} />
				</details>
			) : null}
			<chakra.div display="flex" flexWrap="wrap" gap="8px" marginTop="10px">
				<Form method="post">
					<Act kind={issue && issue.differs.length === 0 ? "quiet" : "next"} name="intent" value="issue">
						{issue ? "Issue it again" : "Issue it under a number"}
					</Act>
				</Form>
				<ActLink to={`/day/${date}/paper`}>Day sheet on paper</ActLink>
				{issue && issue.since !== "" ? (
					<ActLink to={`/day/${date}/papers?number=${issue.number}`}>Papers as No. {issue.number}</ActLink>
				) : null}
			</chakra.div>
			{told.length > 0 ? (
				<>
					<chakra.h3 fontFamily="head" fontWeight="650" fontSize="18px" marginTop="16px">
						Told of this day
					</chakra.h3>
					<ul>
						{told.map(({ id, words, by }) => (
							<chakra.li
								key={id}
								display="flex"
								flexWrap="wrap"
								gap="4px 12px"
								alignItems="center"
								borderTop="1px solid"
								borderColor="hair"
								paddingBlock="6px"
							>
								<chakra.span flex="1 1 220px">
									{words} <Muted>{by}</Muted>
								</chakra.span>
								<Form method="post">
									<input type="hidden" name="id" value={id} />
									<Act name="intent" value="takeBack" aria-label={`Take back: ${words}`}>
										Take back
									</Act>
								</Form>
							</chakra.li>
						))}
					</ul>
				</>
			) : null}
		</Sheet>
	);
}

const Row = chakra("div", {
	base: {
		display: "grid",
		gap: "8px 12px",
		alignItems: "end",
		gridTemplateColumns: { base: "minmax(0,1fr)", sm: "minmax(0,2fr) minmax(0,1fr) minmax(0,1fr) auto" },
		borderTop: "1px solid",
		borderColor: "hair",
		paddingBlock: "10px",
	},
});

/** What can be told of a day; each is tried before it is taken. */
export function TellSheet({ replan }: { readonly replan: ReplanView }) {
	const { choices, wrong } = replan;
	return (
		<Sheet>
			<details open={wrong !== null || undefined}>
				<summary>
					<chakra.b fontFamily="head" fontSize="22px">
						Something is different
					</chakra.b>
				</summary>
				<Tell kind="away" title="An oven is down, somebody is away" replan={replan}>
					{(say) => (
						<>
							<Pick label="Who or what" name="equipment" options={choices.things} {...say("equipment")} />
							<TimeField label="From" name="from" {...say("from")} />
							<TimeField label="Until" name="to" {...say("to", "23:55")} />
						</>
					)}
				</Tell>
				<Tell kind="arrives" title="Meat comes late" replan={replan}>
					{(say) => (
						<>
							<Pick label="Dish" name="for" options={choices.dishes} {...say("for")} />
							<TimeField label="Comes at" name="at" {...say("at")} />
							<span />
						</>
					)}
				</Tell>
				<Tell kind="covers" title="More covers, or fewer" replan={replan}>
					{(say) => (
						<>
							<Pick
								label="Sitting"
								name="sitting"
								options={choices.sittings.map(({ id, name, covers }) => ({
									id,
									name: `${name}, ${covers} now`,
								}))}
								{...say("sitting")}
							/>
							<Field label="Covers" name="covers" inputMode="numeric" {...say("covers")} />
							<span />
						</>
					)}
				</Tell>
				<Tell kind="ahead" title="Cooked on another day" replan={replan}>
					{(say) => (
						<>
							<Pick label="Dish" name="for" options={choices.dishes} {...say("for")} />
							<Pick
								label="When"
								name="ahead"
								options={[
									{ id: "before", name: "the day before" },
									{ id: "day", name: "on the day" },
								]}
								{...say("ahead")}
							/>
							<span />
						</>
					)}
				</Tell>
				<Tell kind="borrowed" title="Pans are lent to us" replan={replan}>
					{(say) => (
						<>
							<Pick label="Kind" name="equipment" options={choices.pans} {...say("equipment")} />
							<Field label="How many more" name="count" inputMode="numeric" {...say("count")} />
							<span />
						</>
					)}
				</Tell>
				<Tell kind="helped" title="Somebody helps out" replan={replan}>
					{(say) => (
						<>
							<Field label="Cooks more" name="count" inputMode="numeric" {...say("count", "1")} />
							<TimeField label="From" name="from" {...say("from")} />
							<TimeField label="Until" name="to" {...say("to")} />
						</>
					)}
				</Tell>
				<Tell kind="heat" title="Braised hotter, or gentler" replan={replan}>
					{(say) => (
						<>
							<Pick label="Dish" name="for" options={choices.dishes} {...say("for")} />
							<Field label="At, °C" name="set_C" inputMode="numeric" {...say("set_C")} />
							<span />
						</>
					)}
				</Tell>
				<Tell kind="happened" title="It went in late, or is tender early" replan={replan}>
					{(say) => (
						<>
							<Pick label="Task" name="task" options={choices.tasks} {...say("task")} />
							<TimeField label="Began at" name="start" {...say("start")} />
							<TimeField label="Over at, once it is" name="end" {...say("end")} />
						</>
					)}
				</Tell>
			</details>
		</Sheet>
	);
}

interface Said {
	readonly defaultValue?: string;
	readonly wrong?: string;
}

interface TellProps {
	readonly kind: string;
	readonly title: string;
	readonly replan: ReplanView;
	readonly children: (say: (field: string, usual?: string) => Said) => ReactNode;
}

/** One kind of change as a form; what did not hold stands there as it was typed. */
function Tell({ kind, title, replan: { trial, wrong }, children }: TellProps) {
	const id = useId();
	const own = wrong?.kind === kind ? wrong : null;
	const say = (field: string, usual?: string): Said => {
		const typed = own?.typed[field] ?? usual;
		const problem = own?.wrong[field];
		return {
			...(typed === undefined ? {} : { defaultValue: typed }),
			...(problem === undefined ? {} : { wrong: problem }),
		};
	};
	return (
		<Form method="get" aria-labelledby={id} preventScrollReset>
			<chakra.h3 id={id} fontWeight="650" marginTop="10px">
				{title}
			</chakra.h3>
			<input type="hidden" name="tell" value={kind} />
			{trial?.changes.map((change) => (
				<input key={change} type="hidden" name="change" value={change} />
			))}
			<Row>
				{children(say)}
				<Act kind="plain">Try it</Act>
			</Row>
		</Form>
	);
}

function Pick({
	label,
	name,
	options,
	defaultValue,
	wrong,
}: Said & {
	readonly label: string;
	readonly name: string;
	readonly options: readonly { readonly id: string; readonly name: string }[];
}) {
	return (
		<Choice label={label} name={name} defaultValue={defaultValue} wrong={wrong}>
			{options.map((option) => (
				<option key={option.id} value={option.id}>
					{option.name}
				</option>
			))}
		</Choice>
	);
}
