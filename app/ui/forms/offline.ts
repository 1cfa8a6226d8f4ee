import { isRouteErrorResponse, type ShouldRevalidateFunction } from "react-router";

/** Nothing was saved: the house's server did not answer, or could not write. */
export interface NotSent {
	readonly notSent: true;
	/** Why, where the server says. */
	readonly said?: string;
}

const CANNOT_WRITE = 503;

/**
 * Sends a change, and stays on the page with everything that was typed when the
 * connection is gone or the server cannot write.
 */
export async function sentOrKept<T>(send: () => Promise<T>): Promise<T | NotSent> {
	try {
		return await send();
	} catch (error) {
		// A browser reports a connection that is gone as a TypeError of fetch.
		if (error instanceof TypeError) return { notSent: true };
		if (isRouteErrorResponse(error) && error.status === CANNOT_WRITE) {
			return { notSent: true, said: String(error.data?.said ?? "") };
		}
		throw error;
	}
}

export function isNotSent(result: unknown): result is NotSent {
	return typeof result === "object" && result !== null && "notSent" in result;
}

/** After a change that was not sent, there is nobody to ask for the page again. */
export const revalidateWhenSent: ShouldRevalidateFunction = ({ actionResult, defaultShouldRevalidate }) =>
	isNotSent(actionResult) ? false : defaultShouldRevalidate;
