import type { ReactNode } from "react";

/** What a place's own body is given to lay out beside its drawing. */
export interface BodyProps<View> {
	readonly view: View;
	/** The answer of the place. */
	readonly head: ReactNode;
	readonly facts: ReactNode;
	readonly warnings: ReactNode;
	readonly arithmetic: ReactNode;
}
