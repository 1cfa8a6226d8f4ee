import type { ComponentType } from "react";
import type { PlaceKey } from "#core/trade";
import { BraiseSheet } from "./braise/BraiseSheet.tsx";
import { BuildBody } from "./build/BuildBody.tsx";
import { BuyBody } from "./buy/BuyBody.tsx";
import { CarryBody } from "./carry/CarryBody.tsx";
import { ChillBody } from "./chill/ChillBody.tsx";
import type { BodyProps } from "./PlaceBody.ts";
import { PanUp } from "./panUp/PanUp.tsx";
import { SauceBody } from "./sauce/SauceBody.tsx";
import { SearBody } from "./sear/SearBody.tsx";

/** A body is only ever given the view that its own place has made. */
function bodyOf<View>(body: ComponentType<BodyProps<View>>): ComponentType<BodyProps<unknown>> {
	return body as ComponentType<BodyProps<unknown>>;
}

/** Places with a drawing of their own; the others are told in words. */
export const BODY: Readonly<Partial<Record<PlaceKey, ComponentType<BodyProps<unknown>>>>> = {
	buy: bodyOf(BuyBody),
	sear: bodyOf(SearBody),
	build: bodyOf(BuildBody),
	panUp: bodyOf(PanUp),
	braise: bodyOf(BraiseSheet),
	chill: bodyOf(ChillBody),
	sauce: bodyOf(SauceBody),
	carry: bodyOf(CarryBody),
};
