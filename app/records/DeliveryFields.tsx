import { chakra } from "@chakra-ui/react/styled-system";
import { AllergenTicks } from "../ui/forms/AllergenTicks.tsx";
import { DayField } from "../ui/forms/DayField.tsx";
import { Field } from "../ui/forms/Field.tsx";
import type { Typed, Wrong } from "../ui/forms/form.ts";
import { Tick } from "../ui/forms/Tick.tsx";

interface DeliveryFieldsProps {
	readonly typed: Typed;
	readonly wrong: Wrong;
	readonly degrees: string;
	readonly weight: string;
	/** Names of the book. */
	readonly names: readonly string[];
	/** Fields between the delivery itself and its packet. */
	readonly children: React.ReactNode;
}

/** What came in at the door, as it is typed. */
export function DeliveryFields({ typed, wrong, degrees, weight, names, children }: DeliveryFieldsProps) {
	return (
		<>
			<chakra.div display="grid" gap="12px 14px" gridTemplateColumns={{ base: "1fr", sm: "1fr 1fr" }}>
				<Field
					label="What"
					name="name"
					list="delivered-names"
					aria-required
					defaultValue={typed.name}
					wrong={wrong.name}
				/>
				<Field
					label={`Weight (${weight} where nothing else is said)`}
					name="kg"
					autoComplete="off"
					defaultValue={typed.kg}
					wrong={wrong.kg}
				/>
				<Field
					label="Core or between packs (empty: not measured)"
					name="C"
					inputMode="decimal"
					after={degrees}
					defaultValue={typed.C}
					wrong={wrong.C}
				/>
				<DayField label="Use by, as it says" name="useBy" defaultValue={typed.useBy} wrong={wrong.useBy} />
				<Field
					label="Supplier"
					name="supplier"
					maxLength={80}
					defaultValue={typed.supplier}
					wrong={wrong.supplier}
				/>
				<Field
					label="Their lot or batch"
					name="supplierLot"
					maxLength={60}
					defaultValue={typed.supplierLot}
					wrong={wrong.supplierLot}
				/>
				<Field label="Note" name="note" maxLength={400} defaultValue={typed.note} wrong={wrong.note} />
				{children}
				<Tick name="sentBack" defaultChecked={typed.sentBack === "on"} alignSelf="end">
					It was sent back
				</Tick>
			</chakra.div>
			<datalist id="delivered-names">
				{names.map((name) => (
					<option key={name} value={name} />
				))}
			</datalist>
			<chakra.details marginTop="10px" open={typed.packet === "on" || undefined}>
				<summary>What its packet says of allergens</summary>
				<AllergenTicks
					name="packet"
					label="The packet was read, and says what is ticked below"
					typed={typed}
				/>
			</chakra.details>
		</>
	);
}
