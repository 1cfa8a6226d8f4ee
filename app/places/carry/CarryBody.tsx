import { LimitCurve, type LimitDrawing } from "../../ui/drawings/LimitCurve.tsx";
import { Muted } from "../../ui/parts/parts.tsx";
import { DrawnColumns } from "../DrawnColumns.tsx";
import type { BodyProps } from "../PlaceBody.ts";

/** The carry place: the boxes, and the lightest of them on its way. */
export function CarryBody({ view, head, facts, warnings, arithmetic }: BodyProps<LimitDrawing>) {
	return (
		<DrawnColumns
			answer={
				<>
					{head}
					{facts}
					{warnings}
				</>
			}
			drawing={
				<>
					<LimitCurve drawing={view} />
					<Muted>The band is a box that loses half as much again: a lid that sits badly, a crack.</Muted>
					{arithmetic}
				</>
			}
		/>
	);
}
