import { chakra } from "@chakra-ui/react/styled-system";
import { useState } from "react";
import { Refusal } from "#core/check";
import { blendStock } from "#core/liquid";
import { numbersIn, threeDigits } from "#core/quantity";
import { Field } from "../../ui/forms/Field.tsx";
import { Figure, Muted } from "../../ui/parts/parts.tsx";

const FIELDS = [
	{ name: "strong_g_per_l", label: "Strong stock", after: "g/l" },
	{ name: "light_g_per_l", label: "Light stock", after: "g/l" },
	{ name: "wanted_g_per_l", label: "Wanted", after: "g/l" },
	{ name: "litres", label: "Stock in all", after: "l" },
] as const;
type Name = (typeof FIELDS)[number]["name"];

/** Gelatin of a stock that sets hard, of one that barely does, and of a sauce that coats, g/l. */
const START: Readonly<Record<Name, string>> = {
	strong_g_per_l: "28",
	light_g_per_l: "6",
	wanted_g_per_l: "14",
	litres: "10",
};

/** A strong and a light stock mixed to a wanted body, answered as it is typed. */
export function StockBlend() {
	const [typed, setTyped] = useState(START);
	const answer = blended(typed);
	return (
		<chakra.details data-otherwise>
			<summary>Blend two stocks</summary>
			<Muted>
				Gelatin by how they set: about 5 g/l stays liquid cold, 12 trembles, 25 stands. A single very strong
				stock smothers the dish.
			</Muted>
			<chakra.div display="flex" flexWrap="wrap" gap="8px 12px" marginTop="6px">
				{FIELDS.map(({ name, label, after }) => (
					<chakra.div key={name} width="132px">
						<Field
							label={label}
							name={name}
							after={after}
							inputMode="decimal"
							value={typed[name]}
							onChange={(event) => setTyped({ ...typed, [name]: event.target.value })}
						/>
					</chakra.div>
				))}
			</chakra.div>
			<chakra.p role="status" marginTop="8px">
				{"wrong" in answer ? (
					answer.wrong
				) : (
					<>
						<Figure>{threeDigits(answer.strong_l)} l</Figure> <Muted>strong and</Muted>{" "}
						<Figure>{threeDigits(answer.light_l)} l</Figure> <Muted>light</Muted>
					</>
				)}
			</chakra.p>
		</chakra.details>
	);
}

function blended(typed: Readonly<Record<Name, string>>) {
	const numbers = Object.fromEntries(
		FIELDS.map(({ name }) => [name, numbersIn(typed[name]).at(-1) ?? Number.NaN]),
	) as Record<Name, number>;
	const bad = FIELDS.find(({ name }) => typed[name].trim() === "" || !(numbers[name] >= 0));
	if (bad) return { wrong: `${bad.label} needs a number from 0.` };
	try {
		return blendStock(numbers);
	} catch (error) {
		if (error instanceof Refusal) return { wrong: `Wanted: ${error.problems[0]?.message ?? ""}.` };
		throw error;
	}
}
