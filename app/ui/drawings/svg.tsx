import { chakra } from "@chakra-ui/react/styled-system";

/** The parts that drawings share: one look for lines and words. */
export const Svg = chakra("svg", { base: { width: "100%", height: "auto", overflow: "visible" } });
export const Path = chakra("path");
export const Rect = chakra("rect");
export const Circle = chakra("circle");
export const Line = chakra("line", { base: { stroke: "muted", strokeWidth: 1.2 } });
export const Label = chakra("text", { base: { fill: "muted", fontFamily: "text", fontSize: "16px" } });
