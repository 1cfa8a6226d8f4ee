import { createContext } from "react-router";
import type { Store } from "#db";
import type { HeavyPool } from "./pool.ts";
import type { Preferences } from "./preferences.ts";

/** What every loader and action is given besides the request. */
export interface Visit {
	readonly store: Store;
	/** For what takes long. */
	readonly pool: HeavyPool;
	readonly preferences: Preferences;
	/** Who the change is written down for. */
	readonly who: string;
	/** For the content security policy. */
	readonly nonce: string;
}

export const visitContext = createContext<Visit>();

/** Who is written down when nobody has given a name. */
export const NOBODY_NAMED = "the desk";
