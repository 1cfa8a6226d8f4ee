import { chakra } from "@chakra-ui/react/styled-system";
import { type ComponentProps, useRef } from "react";
import { dayTyped, readDay, readTime } from "#core/time";
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

/** A time on a clock of 24 hours, typed as one likes: "19:30", "1930", "7:30 pm". */
export function TimeField({ defaultValue = "", onBlur, ...field }: TypedField) {
	return (
		<Field
			{...field}
			autoComplete="off"
			placeholder="19:30"
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
