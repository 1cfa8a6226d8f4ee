import { chakra } from "@chakra-ui/react/styled-system";
import { Act } from "../parts/parts.tsx";

interface StepperProps {
	readonly value: number;
	/** What is counted, in the singular: "GN 1/1-100". */
	readonly of: string;
	readonly least?: number;
	readonly most: number;
	readonly onValue: (value: number) => void;
}

/** A whole number that goes up and down by one. */
export function Stepper({ value, of, least = 0, most, onValue }: StepperProps) {
	return (
		<chakra.span display="inline-flex" alignItems="center" gap="6px">
			<Step sign="−" label={`One ${of} fewer`} disabled={value <= least} onStep={() => onValue(value - 1)} />
			<chakra.b minWidth="28px" textAlign="center" fontSize="19px" fontFamily="head">
				{value}
			</chakra.b>
			<Step sign="+" label={`One ${of} more`} disabled={value >= most} onStep={() => onValue(value + 1)} />
		</chakra.span>
	);
}

interface StepProps {
	readonly sign: string;
	readonly label: string;
	readonly disabled: boolean;
	readonly onStep: () => void;
}

function Step({ sign, label, disabled, onStep }: StepProps) {
	return (
		<Act
			type="button"
			aria-label={label}
			disabled={disabled}
			onClick={onStep}
			minWidth="44px"
			padding="0"
			justifyContent="center"
		>
			{sign}
		</Act>
	);
}
