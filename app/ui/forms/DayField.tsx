import { chakra } from "@chakra-ui/react/styled-system";
import { type ComponentProps, useRef } from "react";
import { type ClockMoment, dayTyped, momentTyped, readDay, readMoment, readTime } from "#core/time";
import { Field } from "./Field.tsx";

const Beside = chakra("div", { base: { position: "relative", minWidth: 0 } });

/** Over the end of the field, as high as it. */
const Opener = chakra("button", {
	base: {
		position: "absolute",
		insetInlineEnd: 0,
		top: "26px",
		width: "40px",
		height: "44px",
		color: "muted",
		cursor: "pointer",
	},
});

const Calendar = chakra("input", {
	base: {
		position: "absolute",
		insetInlineEnd: "4px",
		top: "60px",
		width: "1px",
		height: "1px",
		opacity: 0,
		pointerEvents: "none",
	},
});

type TypedField = Omit<ComponentProps<typeof Field>, "type" | "ref" | "defaultValue"> & {
	readonly defaultValue?: string | undefined;
};

/**
 * A day, typed as one says it ("28 Nov", "28.11.") and shown with its weekday; or chosen in the
 * browser's own calendar.
 */
export function DayField({ defaultValue = "", ...field }: TypedField) {
	const text = useRef<HTMLInputElement>(null);
	const dayIn = (value: string) => {
		const day = readDay(value, today());
		// A day that is past is not written out as if it were meant: the server asks.
		const isAsked = typeof day === "string" && day < today() && !/\d{4}/.test(value);
		return typeof day === "string" && !isAsked ? day : undefined;
	};
	const show = (value: string) => {
		if (text.current) setTyped(text.current, dayTyped(value));
	};
	return (
		<Beside>
			<Field
				{...field}
				ref={text}
				autoComplete="off"
				defaultValue={dayTyped(defaultValue)}
				paddingInlineEnd="40px"
				onBlur={({ currentTarget }) => {
					const day = dayIn(currentTarget.value);
					if (day !== undefined) show(day);
				}}
			/>
			<FromCalendar label={field.label} day={() => dayIn(text.current?.value ?? "")} onDay={show} />
		</Beside>
	);
}

interface FromCalendarProps {
	/** Of the field beside it. */
	readonly label: string;
	/** The day that stands in the field, as it is opened. */
	readonly day: () => string | undefined;
	/** Called with the day that was chosen; empty where it was taken out. */
	readonly onDay: (day: string) => void;
}

/** The browser's own calendar, opened from the end of a field. */
function FromCalendar({ label, day, onDay }: FromCalendarProps) {
	const calendar = useRef<HTMLInputElement>(null);
	const open = () => {
		const { current } = calendar;
		if (!current) return;
		const stands = day();
		if (stands !== undefined) current.value = stands;
		current.showPicker();
	};
	return (
		<>
			<Opener type="button" tabIndex={-1} aria-label={`Calendar: ${label}`} onClick={open}>
				<CalendarMark />
			</Opener>
			<Calendar
				ref={calendar}
				type="date"
				tabIndex={-1}
				aria-hidden
				onChange={({ currentTarget }) => onDay(currentTarget.value)}
			/>
		</>
	);
}

interface MomentFieldProps extends Omit<TypedField, "name" | "defaultValue" | "wrong"> {
	/** As they are stored, or as they were typed: `2026-12-05` and `19:30`; both may be empty. */
	readonly typed: { readonly date?: string | undefined; readonly time?: string | undefined };
	readonly wrong: { readonly date?: string | undefined; readonly time?: string | undefined };
}

/**
 * A day and a time in one field, typed as one says them ("5 dec 1930") and read back with the weekday
 * ("Sat 5 Dec 19:30"). A time alone keeps the day that stands there. It is sent as `time`, with the day
 * it was made with as `date`.
 */
export function MomentField({ typed, wrong, ...field }: MomentFieldProps) {
	const text = useRef<HTMLInputElement>(null);
	const date = useRef<HTMLInputElement>(null);
	const shown = (moment: ClockMoment) => {
		if (date.current) date.current.value = moment.date;
		return momentTyped(moment, today());
	};
	/** A time alone is on the day that the form was made with. */
	const momentIn = (value: string): ClockMoment | undefined => {
		const moment = readMoment(value, today());
		if (moment && "date" in moment) return moment;
		const time = readTime(value);
		return time === undefined ? undefined : { date: date.current?.value || today(), time };
	};
	/** What is read back means what was typed: nobody has to hear of it again. */
	const readBack = (value: string) => {
		const moment = momentIn(value);
		if (moment && text.current) text.current.value = shown(moment);
	};
	const typedNow = () => text.current?.value ?? "";
	return (
		<Beside>
			<Field
				{...field}
				ref={text}
				name="time"
				autoComplete="off"
				defaultValue={momentShown(typed)}
				wrong={wrong.date ?? wrong.time}
				paddingInlineEnd="40px"
				onBlur={({ currentTarget }) => readBack(currentTarget.value)}
			/>
			{/* A hidden field of text goes back with the form when that is put back. */}
			<input ref={date} hidden name="date" defaultValue={typed.date} />
			<FromCalendar
				label={field.label}
				day={() => {
					readBack(typedNow());
					return date.current?.value;
				}}
				onDay={(day) => {
					const time = momentIn(typedNow())?.time ?? "12:00";
					if (day && text.current) setTyped(text.current, shown({ date: day, time }));
				}}
			/>
		</Beside>
	);
}

/** What was typed stays as it was typed; what is stored is shown with its weekday. */
function momentShown({ date = "", time = "" }: MomentFieldProps["typed"]): string {
	return /^\d{2}:\d{2}$/.test(time) && /^\d{4}-\d{2}-\d{2}$/.test(date)
		? momentTyped({ date, time }, today())
		: time;
}

/** A time on a clock of 24 hours, typed as one likes: "19:30", "1930", "7:30 pm". */
export function TimeField({ defaultValue = "", onBlur, ...field }: TypedField) {
	return (
		<Field
			{...field}
			autoComplete="off"
			defaultValue={defaultValue}
			onBlur={(event) => {
				const time = readTime(event.currentTarget.value);
				if (time !== undefined) setTyped(event.currentTarget, time);
				onBlur?.(event);
			}}
		/>
	);
}

function today(): string {
	return new Date().toISOString().slice(0, 10);
}

/** Writes into a field as somebody who types does, so that whoever listens hears of it. */
function setTyped(input: HTMLInputElement, value: string): void {
	if (input.value === value) return;
	Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")?.set?.call(input, value);
	input.dispatchEvent(new Event("input", { bubbles: true }));
	input.dispatchEvent(new Event("change", { bubbles: true }));
}

function CalendarMark() {
	return (
		<chakra.svg viewBox="0 0 24 24" width="22px" height="22px" marginInline="auto" fill="none" aria-hidden>
			<path d="M4 6h16v14H4z M4 10h16 M8 3v5 M16 3v5" stroke="currentColor" strokeWidth="2" />
		</chakra.svg>
	);
}
