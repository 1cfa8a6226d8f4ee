import { PanFromAbove } from "../../ui/drawings/PanFromAbove.tsx";
import { DrawnColumns } from "../DrawnColumns.tsx";
import type { BodyProps } from "../PlaceBody.ts";
import { ColourWays } from "./ColourWays.tsx";
import type { ColourView } from "./colour.view.ts";

/** The sear place: the pan with one load, both ways of colouring, every load in its order. */
export function SearBody({ view, head, warnings, arithmetic }: BodyProps<ColourView>) {
	return (
		<DrawnColumns
			answer={
				<>
					{head}
					{warnings}
					{view.drawing ? <PanFromAbove pan={view.drawing} /> : null}
				</>
			}
			drawing={
				<>
					<ColourWays view={view} />
					{arithmetic}
				</>
			}
		/>
	);
}
