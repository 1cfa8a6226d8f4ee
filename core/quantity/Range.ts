/** A prediction with its honest ends. */
export interface Range {
	readonly low: number;
	readonly likely: number;
	readonly high: number;
}
