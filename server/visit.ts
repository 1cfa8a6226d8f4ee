import { createContext } from "react-router";
import type { Store } from "#db";
import type { Live } from "./live.ts";
import type { HeavyPool } from "./pool.ts";
import type { Preferences } from "./preferences.ts";

/** What every loader and action is given besides the request. */
export interface Visit {
	readonly store: Store;
	/** For what takes long. */
	readonly pool: HeavyPool;
	/** Where labels are printed. */
	readonly printer: string;
	/** For what probes send. */
	readonly live: Live;
	readonly preferences: Preferences;
	/** Who the change is written down for. */
	readonly who: string;
	/** For the content security policy. */
	readonly nonce: string;
}

export const visitContext = createContext<Visit>();
