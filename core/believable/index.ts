export {
	BOUNDS,
	type Bound,
	beyondBelief,
	borrowedFor,
	cookedFor,
	cooksFor,
	type Figures,
	figuresOf,
	handsOnByPlace,
} from "./believable.ts";
