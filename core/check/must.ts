/**
 * What a map has under a key that is known to be there.
 *
 * @param what names the things of the map, for whoever reads the error
 * @throws {Error} naming the key when it is not there: a fault of ours, never of what was typed
 */
export function must<Key, Value>(map: ReadonlyMap<Key, Value>, key: Key, what: string): Value {
	const found = map.get(key);
	if (found === undefined) throw new Error(`no ${what} ${String(key)}`);
	return found;
}
