import { type RefObject, useLayoutEffect, useRef } from "react";

/**
 * What a value is by the time somebody acts on it: rows that do not change themselves need not be
 * drawn again because another did.
 */
export function useLatest<Value>(value: Value): RefObject<Value> {
	const latest = useRef(value);
	useLayoutEffect(() => {
		latest.current = value;
	});
	return latest;
}
