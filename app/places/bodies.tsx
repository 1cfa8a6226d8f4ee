import { chakra } from "@chakra-ui/react/styled-system";
import type { ComponentType, ReactNode } from "react";
import type { PlaceKey } from "#core/trade";
import { type HeldDrawing, HeldPans } from "../ui/drawings/HeldPans.tsx";
import { LimitCurve } from "../ui/drawings/LimitCurve.tsx";
import { OvenCavity } from "../ui/drawings/OvenCavity.tsx";
import { PanCut } from "../ui/drawings/PanCut.tsx";
import { PanFromAbove } from "../ui/drawings/PanFromAbove.tsx";
import { type PieceDrawing, PieceFaces } from "../ui/drawings/PieceFaces.tsx";
import { Served, type ServedDrawing } from "../ui/drawings/Served.tsx";
import { BraiseSheet } from "./braise/BraiseSheet.tsx";
import { BuildBody } from "./build/BuildBody.tsx";
import { Buying } from "./buy/Buying.tsx";
import type { MakingView } from "./buy/making.view.ts";
import { CarryBody } from "./carry/CarryBody.tsx";
import { ChillBody } from "./chill/ChillBody.tsx";
import type { VesselView } from "./marinate/vessel.view.ts";
import type { BodyProps } from "./PlaceBody.ts";
import { PanUp } from "./panUp/PanUp.tsx";
import type { ReheatView } from "./reheat/reheat.view.ts";
import type { TrayView } from "./rest/tray.view.ts";
import { SauceBody } from "./sauce/SauceBody.tsx";
import { SearBody } from "./sear/SearBody.tsx";

/** A body is only ever given the view that its own place has made. */
function bodyOf<View>(body: ComponentType<BodyProps<View>>): ComponentType<BodyProps<unknown>> {
	return body as ComponentType<BodyProps<unknown>>;
}

/** Places that lay themselves out. */
export const BODY: Readonly<Partial<Record<PlaceKey, ComponentType<BodyProps<unknown>>>>> = {
	sear: bodyOf(SearBody),
	build: bodyOf(BuildBody),
	panUp: bodyOf(PanUp),
	braise: bodyOf(BraiseSheet),
	chill: bodyOf(ChillBody),
	sauce: bodyOf(SauceBody),
	carry: bodyOf(CarryBody),
};

/** A drawing is only ever given what its own place has made for it. */
function drawingOf<View>(draw: (view: View) => ReactNode): (view: unknown) => ReactNode {
	return draw as (view: unknown) => ReactNode;
}

/** Places that are their answer beside a drawing; those that are in neither list are told in words. */
export const DRAWING: Readonly<Partial<Record<PlaceKey, (view: unknown) => ReactNode>>> = {
	buy: drawingOf((view: MakingView) => <Buying view={view} />),
	trim: drawingOf((pieces: readonly PieceDrawing[]) =>
		pieces.map((piece) => <PieceFaces key={piece.words} piece={piece} />),
	),
	marinate: drawingOf(({ pan, cut, says }: VesselView) => (
		<>
			<PanCut pan={pan} cut={cut} />
			<p>{says}</p>
		</>
	)),
	rest: drawingOf(({ pan, filled, says }: TrayView) => (
		<>
			<PanFromAbove pan={pan} filled={filled} />
			<p>{says}</p>
		</>
	)),
	reheat: drawingOf(({ curve, ovens }: ReheatView) => (
		<>
			<LimitCurve drawing={curve} />
			<chakra.div display="flex" flexWrap="wrap" gap="16px 28px" alignItems="end">
				{ovens.map((oven) => (
					<OvenCavity key={oven.name} oven={oven} />
				))}
			</chakra.div>
		</>
	)),
	hold: drawingOf((held: HeldDrawing) => <HeldPans drawing={held} />),
	plate: drawingOf((served: ServedDrawing) => <Served served={served} />),
};
