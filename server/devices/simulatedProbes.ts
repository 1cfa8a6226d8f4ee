import { createServer, type Server } from "node:http";
import { FAULTS, type Fault, type PlayedPlace, readAt } from "./playedPan.ts";

interface Held {
	readonly place: PlayedPlace;
	/** The next moment that is read. */
	next: number;
}

interface Options {
	/** Where the house is reached. */
	readonly house: string;
	/** A probe reads so often, ms. */
	readonly every_ms: number;
	/** Instead of the network, in tests. */
	readonly fetch?: typeof fetch;
}

/** So many readings are sent at once at the most. */
const MOST = 2000;
/** A probe keeps so many that were not answered for, the newest. */
const KEPT = 1_000_000;

/**
 * Wireless probes that are not there: each asks the house in which pan it stands, plays that pan by
 * the model, keeps what it has read until the house has answered for it, and can be made to fail.
 */
export class SimulatedProbes {
	readonly #options: Options;
	readonly #fetch: typeof fetch;
	readonly #held = new Map<string, Held>();
	readonly #faults = new Map<string, { readonly fault: Fault; readonly since: number }>();
	#unsent: { readonly probe: string; readonly at: number; readonly C: number }[] = [];
	sent = 0;

	constructor(options: Options) {
		this.#options = options;
		this.#fetch = options.fetch ?? fetch;
	}

	/** Makes a probe fail, or be well again. */
	fail(probe: string, fault: Fault, since = Date.now()): void {
		this.#faults.set(probe, { fault, since });
	}

	/** What each of them is, for whoever asks. */
	get state() {
		return [...this.#held].map(([probe, { place, next }]) => ({
			probe,
			watch: place.watch,
			readUpTo: next,
			fault: this.#faults.get(probe)?.fault ?? "none",
		}));
	}

	/** One turn: asks where they stand, reads, and sends all that was not answered for. @returns whether all is sent */
	async turn(now = Date.now()): Promise<boolean> {
		const places = await this.#places();
		if (places) this.#stand(places);
		this.#read(now);
		while (this.#unsent.length > 0) if (!(await this.#send())) return false;
		return true;
	}

	async #places(): Promise<PlayedPlace[] | null> {
		try {
			const answer = await this.#fetch(`${this.#options.house}/probes/places`);
			return answer.ok ? ((await answer.json()) as PlayedPlace[]) : null;
		} catch {
			return null;
		}
	}

	#stand(places: readonly PlayedPlace[]): void {
		const now = new Map(places.map((place) => [place.probe, place]));
		for (const probe of this.#held.keys()) if (!now.has(probe)) this.#held.delete(probe);
		for (const [probe, place] of now) {
			if (this.#held.get(probe)?.place.watch === place.watch) continue;
			this.#held.set(probe, { place, next: place.since });
		}
	}

	#read(now: number): void {
		for (const [probe, held] of this.#held) {
			const { fault = "none", since = 0 } = this.#faults.get(probe) ?? {};
			for (; held.next <= now; held.next += this.#options.every_ms) {
				if (fault === "silent" && held.next >= since) continue;
				this.#unsent.push({ probe, at: held.next, C: readAt(held.place, held.next, fault, since) });
			}
		}
		if (this.#unsent.length > KEPT) this.#unsent = this.#unsent.slice(-KEPT);
	}

	/** @returns whether the house has answered for it */
	async #send(): Promise<boolean> {
		const readings = this.#unsent.slice(0, MOST);
		try {
			const answer = await this.#fetch(`${this.#options.house}/probes/readings`, {
				method: "POST",
				headers: { "content-type": "application/json", origin: this.#options.house },
				body: JSON.stringify({ readings }),
			});
			if (!answer.ok) return false;
		} catch {
			return false;
		}
		this.#unsent.splice(0, readings.length);
		this.sent += readings.length;
		return true;
	}
}

/** The probes' own small server: what they are, and how one is made to fail. */
export function controlServer(probes: SimulatedProbes): Server {
	return createServer((request, response) => {
		const say = (status: number, body: unknown) => {
			response.writeHead(status, { "content-type": "application/json" });
			response.end(JSON.stringify(body));
		};
		const { pathname, searchParams } = new URL(request.url ?? "/", "http://probes");
		const probe = /^\/probes\/([A-Za-z0-9._-]{1,24})$/.exec(pathname)?.[1];
		if (pathname === "/" && request.method === "GET") {
			say(200, { probes: probes.state, sent: probes.sent });
			return;
		}
		const fault = FAULTS.find((one) => one === searchParams.get("fault"));
		if (probe && request.method === "POST" && fault) {
			const since = Number(searchParams.get("since") ?? Date.now());
			probes.fail(probe, fault, Number.isFinite(since) ? since : Date.now());
			say(200, { probe, fault });
			return;
		}
		say(404, {
			said: `GET / tells of the probes; POST /probes/NAME?fault=${FAULTS.join("|")} makes one fail`,
		});
	});
}
