import { LRUCache } from "lru-cache";

/**
 * What was made once is given again for the same key, instead of being made anew. What has not
 * been asked for longest is let go first.
 *
 * @param most how many are held
 */
export function memoise<Key extends string | number, Value extends object | number>(
	most: number,
): (key: Key, make: () => Value) => Value {
	const held = new LRUCache<Key, { readonly value: Value }>({ max: most });
	return (key, make) => {
		const found = held.get(key);
		if (found) return found.value;
		const value = make();
		held.set(key, { value });
		return value;
	};
}
