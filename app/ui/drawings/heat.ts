import { scaleLinear } from "d3-scale";

/** Cold slate, amber, ember: the one scale for temperature, and for nothing else. °C to colour. */
const HEAT = scaleLinear<string>()
	.domain([0, 60, 110, 180, 260])
	.range(["#5b7083", "#b9a58a", "#e0a03c", "#d2622a", "#8e1f10"])
	.clamp(true);

export function heatColour(celsius: number): string {
	return HEAT(celsius);
}
