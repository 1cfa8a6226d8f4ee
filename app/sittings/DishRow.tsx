import { chakra } from "@chakra-ui/react/styled-system";
import { Link } from "react-router";
import { Field } from "../ui/forms/Field.tsx";
import type { Typed, Wrong } from "../ui/forms/form.ts";
import { Facts } from "../ui/parts/Facts.tsx";
import { Act, ActLink, Note, Sheet } from "../ui/parts/parts.tsx";
import { Tape } from "../ui/parts/Tape.tsx";
import { counted } from "../ui/words/reading.ts";
import type { DishView } from "./dishView.ts";

interface DishRowProps {
	readonly sittingId: string;
	readonly dish: DishView;
	readonly typed: Typed;
	readonly wrong: Wrong;
	/** Portions that what stands in the fields comes to; absent before anything is typed. */
	readonly asTyped?: number | undefined;
}

/** One dish of the sitting: what it comes to, and its share of the covers. */
export function DishRow({ sittingId, dish, typed, wrong, asTyped }: DishRowProps) {
	const table = `/sittings/${sittingId}/dishes/${dish.id}`;
	return (
		<Sheet display="grid" gap="12px">
			<input type="hidden" name="dish" value={dish.id} />
			<chakra.div
				display="flex"
				flexWrap="wrap"
				gap="8px 16px"
				alignItems="center"
				justifyContent="space-between"
			>
				<Link to={table} style={{ textDecoration: "none" }}>
					<Tape>{dish.name}</Tape>
				</Link>
				<ActLink to={table}>Open the long table</ActLink>
			</chakra.div>
			{dish.newer === null ? null : (
				<Note display="flex" flexWrap="wrap" gap="6px 14px" alignItems="center">
					<span>
						Planned with no. {dish.number}; no. {dish.newer} is in use now.{" "}
						<Link to={`/book/${dish.recipeId}/versions?from=${dish.number}&to=${dish.newer}`}>
							What is other
						</Link>
					</span>
					<Act name="intent" value={`renew:${dish.id}`}>
						Take no. {dish.newer}
					</Act>
				</Note>
			)}
			{dish.figures ? (
				<Facts facts={dish.figures} />
			) : (
				<chakra.p fontWeight="650">▲ No plan: {dish.refused}</chakra.p>
			)}
			{asTyped !== undefined && dish.byCovers && asTyped !== dish.portions ? (
				<p>
					<b>{counted(asTyped, "portion")}</b> as typed; all else follows when it is saved.
				</p>
			) : null}
			{dish.warnings.map((says) => (
				<chakra.p key={says} fontWeight="650">
					▲ {says}
				</chakra.p>
			))}
			<chakra.div
				display="grid"
				gridTemplateColumns={{ base: "1fr 1fr", md: "210px 130px 1fr" }}
				gap="10px 14px"
				alignItems="end"
			>
				<Field
					label="Uptake, %, guests or rest"
					name={`uptake.${dish.id}`}
					after={dish.uptakeAfter}
					defaultValue={typed[`uptake.${dish.id}`] ?? dish.uptake}
					wrong={wrong[`uptake.${dish.id}`]}
				/>
				<Field
					label="Spare"
					name={`spare.${dish.id}`}
					after="%"
					inputMode="decimal"
					defaultValue={typed[`spare.${dish.id}`] ?? dish.spare}
					wrong={wrong[`spare.${dish.id}`]}
				/>
				<Act name="intent" value={`remove:${dish.id}`} justifySelf={{ base: "start", md: "end" }}>
					Take off
				</Act>
			</chakra.div>
		</Sheet>
	);
}
