import { chakra } from "@chakra-ui/react/styled-system";
import { CarryCurve, type CarryDrawing } from "../../ui/drawings/CarryCurve.tsx";
import { Muted } from "../../ui/parts/parts.tsx";
import { DrawnColumns } from "../DrawnColumns.tsx";
import type { BodyProps } from "../PlaceBody.ts";

/** Widths of the curve at a desk and on a phone, px. */
const WIDE = 640;
const NARROW = 340;

/** The carry place: the boxes, and the lightest of them on its way. */
export function CarryBody({ view, head, facts, warnings, arithmetic }: BodyProps<CarryDrawing>) {
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
					<chakra.div display={{ base: "none", sm: "block" }}>
						<CarryCurve drawing={view} width={WIDE} />
					</chakra.div>
					<chakra.div display={{ base: "block", sm: "none" }} aria-hidden>
						<CarryCurve drawing={view} width={NARROW} />
					</chakra.div>
					<Muted>The band is a box that loses half as much again: a lid that sits badly, a crack.</Muted>
					{arithmetic}
				</>
			}
		/>
	);
}
