import { DrawnColumns } from "../DrawnColumns.tsx";
import type { BodyProps } from "../PlaceBody.ts";
import type { PotView } from "./pot.view.ts";
import { SaucePot } from "./SaucePot.tsx";

/** The sauce place: the pot with its levels, and every way to the sauce that is wanted. */
export function SauceBody({ view, head, warnings, arithmetic }: BodyProps<PotView>) {
	return (
		<DrawnColumns
			answer={
				<>
					{head}
					{warnings}
				</>
			}
			drawing={
				<>
					<SaucePot pot={view} />
					{arithmetic}
				</>
			}
		/>
	);
}
