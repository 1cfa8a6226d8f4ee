/**
 * What was made once is given again for the same key, instead of being made anew. When so many
 * are kept all are let go.
 *
 * @param most how many are kept
 */
export function memoise<Key, Value>(most: number): (key: Key, make: () => Value) => Value {
	const known = new Map<Key, Value>();
	return (key, make) => {
		const found = known.get(key);
		if (found !== undefined) return found;
		const made = make();
		if (known.size >= most) known.clear();
		known.set(key, made);
		return made;
	};
}
