import { chakra } from "@chakra-ui/react/styled-system";
import { useState } from "react";
import {
	chooseSchool,
	type Draft,
	type Ingredient,
	SCHOOL_QUESTIONS,
	SCHOOLS,
	type SchoolQuestion,
} from "#core/recipe";
import { Choice } from "../../ui/forms/Field.tsx";
import { Heading, Muted, Sheet } from "../../ui/parts/parts.tsx";

interface SchoolChooserProps {
	readonly draft: Draft;
	readonly named: ReadonlyMap<string, Ingredient>;
	readonly onChange: (draft: Draft, tag?: string) => void;
}

/** Where practitioners disagree: each answer changes lines and steps, and says what it changed. */
export function SchoolChooser({ draft, named, onChange }: SchoolChooserProps) {
	const [says, setSays] = useState<readonly string[]>([]);
	const choose = (question: SchoolQuestion, answer: string) => {
		if (answer === "") return;
		const chosen = chooseSchool(draft, question, answer, named);
		setSays(chosen.says);
		onChange(chosen.draft);
	};
	return (
		<Sheet display="grid" gap="10px">
			<Heading>Between schools</Heading>
			<Muted>A choice puts its lines and steps in, takes an earlier choice's out, and says which.</Muted>
			<chakra.div display="grid" gap="10px 12px" gridTemplateColumns="repeat(auto-fill, minmax(190px, 1fr))">
				{SCHOOL_QUESTIONS.map((question) => (
					<Choice
						key={question}
						label={SCHOOLS[question].words}
						name={`chosen.${question}`}
						value={draft.schools[question] ?? ""}
						onChange={(event) => choose(question, event.target.value)}
					>
						<option value="">not said</option>
						{Object.entries(SCHOOLS[question].answers).map(([answer, { words }]) => (
							<option key={answer} value={answer}>
								{words}
							</option>
						))}
					</Choice>
				))}
			</chakra.div>
			<chakra.ul aria-live="polite" aria-label="What the last choice changed">
				{says.map((sentence) => (
					<li key={sentence}>{sentence}</li>
				))}
			</chakra.ul>
		</Sheet>
	);
}
