import { chakra, type HTMLChakraProps } from "@chakra-ui/react/styled-system";

interface TickProps extends Pick<HTMLChakraProps<"label">, "alignSelf" | "children"> {
	readonly name: string;
	/** What is sent where it is ticked; "on" where nothing is said. */
	readonly value?: string | number;
	readonly defaultChecked: boolean;
}

/** One box with its words, high enough for a wet thumb. */
export function Tick({ name, value, defaultChecked, alignSelf, children }: TickProps) {
	return (
		<chakra.label display="flex" gap="10px" alignItems="center" minHeight="44px" alignSelf={alignSelf}>
			<chakra.input
				type="checkbox"
				name={name}
				value={value}
				defaultChecked={defaultChecked}
				width="22px"
				height="22px"
			/>
			{children}
		</chakra.label>
	);
}
