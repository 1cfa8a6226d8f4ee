export { crossedAt, type MinuteAndC } from "./crossedAt.ts";
export { crossing } from "./crossing.ts";
export { gramsOf, millilitresOf, WATER_G_PER_ML } from "./density.ts";
export { formatQuantity, readable, readingUnit, threeDigits } from "./formatQuantity.ts";
export { numbersIn, readNumber, Unclear, unclearWords, written } from "./numbers.ts";
export { parseQuantity, type Quantity, takeQuantity } from "./parseQuantity.ts";
export { parseWeight } from "./parseWeight.ts";
export type { Range } from "./Range.ts";
export {
	type CountryMeasures,
	type Dimension,
	fromBase,
	MEASURES,
	measuresOf,
	toBase,
	UNITS,
	type Unit,
	type UnitName,
	type UnitSystem,
	unitNamed,
} from "./units.ts";
export { wholeDown, wholeUp } from "./whole.ts";
