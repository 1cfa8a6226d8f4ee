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
	const calendar = useRef<HTMLInputElement>(null);
	const shown = (value: string) => {
		if (text.current) setTyped(text.current, dayTyped(value));
	};
	const open = () => {
		const { current } = calendar;
		if (!current) return;
		const day = readDay(text.current?.value ?? "", today());
		if (typeof day === "string") current.value = day;
		current.showPicker();
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
					const day = readDay(currentTarget.value, today());
					if (typeof day === "string") shown(day);
				}}
			/>
			<Opener type="button" tabIndex={-1} aria-label={`Calendar: ${field.label}`} onClick={open}>
				<CalendarMark />
			</Opener>
			<Calendar
				ref={calendar}
				type="date"
				tabIndex={-1}
				aria-hidden
				onChange={({ currentTarget }) => shown(currentTarget.value)}
			/>
		</Beside>
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
	const calendar = useRef<HTMLInputElement>(null);
	const shown = (moment: ClockMoment) => {
		if (date.current) date.current.value = moment.date;
		return momentTyped(moment, today());
	};
	/** What is read back means what was typed: nobody has to hear of it again. */
	const readBack = (value: string) => {
		const moment = readMoment(value, today());
		const time = readTime(value);
		const read = moment && "date" in moment ? moment : time && { date: date.current?.value || today(), time };
		if (read && text.current) text.current.value = shown(read);
	};
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
			<Opener
				type="button"
				tabIndex={-1}
				aria-label={`Calendar: ${field.label}`}
				onClick={() => {
					readBack(text.current?.value ?? "");
					if (calendar.current && date.current) calendar.current.value = date.current.value;
					calendar.current?.showPicker();
				}}
			>
				<CalendarMark />
			</Opener>
			<Calendar
				ref={calendar}
				type="date"
				tabIndex={-1}
				aria-hidden
				onChange={({ currentTarget: { value } }) => {
					const stands = readMoment(text.current?.value ?? "", today());
					const time = stands && "time" in stands ? stands.time : readTime(text.current?.value ?? "");
					if (value && text.current) setTyped(text.current, shown({ date: value, time: time ?? "12:00" }));
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
