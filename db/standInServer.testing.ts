import { once } from "node:events";
import { createServer, type IncomingMessage, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import Database from "libsql";

/**
 * A small stand-in for a libSQL server: Hrana 2 over HTTP with JSON, one connection a
 * stream, on a file. It answers what the client sends and no more.
 */
export class StandInServer {
	readonly #file: string;
	readonly #streams = new Map<string, Stream>();
	readonly #server: Server;
	#opened = 0;
	/** Requests answered, so that a test can see that the server was really asked. */
	answered = 0;

	private constructor(file: string) {
		this.#file = file;
		this.#server = createServer(async (request, response) => {
			this.answered += 1;
			response.setHeader("Content-Type", "application/json");
			response.end(JSON.stringify(this.#pipeline(await bodyOf(request))));
		});
	}

	static async start(file: string): Promise<StandInServer> {
		const stand = new StandInServer(file);
		await once(stand.#server.listen(0, "127.0.0.1"), "listening");
		return stand;
	}

	get url(): string {
		return `http://127.0.0.1:${(this.#server.address() as AddressInfo).port}`;
	}

	async stop(): Promise<void> {
		for (const { connection } of this.#streams.values()) connection.close();
		this.#server.closeAllConnections();
		await new Promise((done) => this.#server.close(done));
	}

	#pipeline({ baton, requests }: Pipeline) {
		const stream = this.#streams.get(baton ?? "") ?? openStream(this.#file);
		const next = `stream-${++this.#opened}`;
		if (baton) this.#streams.delete(baton);
		const closes = requests.some(({ type }) => type === "close");
		const results = requests.map((request) => answer(stream, request));
		if (closes) stream.connection.close();
		else this.#streams.set(next, stream);
		return { baton: closes ? null : next, base_url: null, results };
	}
}

/** A connection, and the statements the client has stored in it by number. */
interface Stream {
	readonly connection: Database.Database;
	readonly stored: Map<number, string>;
}

function openStream(file: string): Stream {
	return { connection: new Database(file, { timeout: 5000 }), stored: new Map() };
}

interface Statement {
	readonly sql?: string;
	readonly sql_id?: number;
	readonly args?: readonly HranaValue[];
}

interface HranaRequest {
	readonly type: string;
	readonly stmt?: Statement;
	readonly sql?: string;
	readonly sql_id?: number;
	readonly batch?: {
		readonly steps: readonly { readonly stmt: Statement; readonly condition?: Condition }[];
	};
}

/** What has to hold for a step of a batch to be carried out. */
interface Condition {
	readonly type: "ok" | "not" | "is_autocommit" | "and";
	readonly step?: number;
	readonly cond?: Condition;
	readonly conds?: readonly Condition[];
}

interface Pipeline {
	readonly baton: string | null;
	readonly requests: readonly HranaRequest[];
}

type HranaValue =
	| { readonly type: "null" }
	| { readonly type: "integer"; readonly value: string }
	| { readonly type: "float"; readonly value: number }
	| { readonly type: "text"; readonly value: string };

async function bodyOf(request: IncomingMessage): Promise<Pipeline> {
	let text = "";
	for await (const part of request) text += part;
	return text === "" ? { baton: null, requests: [] } : JSON.parse(text);
}

function answer(stream: Stream, request: HranaRequest) {
	try {
		return { type: "ok", response: { type: request.type, ...carriedOut(stream, request) } };
	} catch (error) {
		return { type: "error", error: { message: String(error), code: "SQLITE_ERROR" } };
	}
}

function carriedOut(stream: Stream, { type, stmt, sql, sql_id, batch }: HranaRequest) {
	if (type === "execute" && stmt) return { result: executed(stream, stmt) };
	if (type === "sequence" && sql) stream.connection.exec(sql);
	if (type === "store_sql") stream.stored.set(sql_id ?? 0, sql ?? "");
	if (type === "get_autocommit") return { is_autocommit: !stream.connection.inTransaction };
	if (type === "batch" && batch) return { result: batched(stream, batch.steps) };
	return {};
}

function batched(stream: Stream, steps: readonly { stmt: Statement; condition?: Condition }[]): object {
	const results: (object | null)[] = [];
	const errors: (object | null)[] = [];
	const holds = (condition: Condition): boolean => {
		if (condition.type === "ok") return Boolean(results[condition.step ?? 0]);
		if (condition.type === "not") return condition.cond ? !holds(condition.cond) : false;
		if (condition.type === "is_autocommit") return !stream.connection.inTransaction;
		return (condition.conds ?? []).every(holds);
	};
	for (const { stmt, condition } of steps) {
		const [result, error] = condition && !holds(condition) ? [null, null] : tried(stream, stmt);
		results.push(result);
		errors.push(error);
	}
	return { step_results: results, step_errors: errors };
}

function tried(stream: Stream, stmt: Statement): [object | null, object | null] {
	try {
		return [executed(stream, stmt), null];
	} catch (error) {
		return [null, { message: String(error), code: "SQLITE_ERROR" }];
	}
}

function executed(stream: Stream, { sql, sql_id = 0, args = [] }: Statement): object {
	const prepared = stream.connection.prepare(sql ?? stream.stored.get(sql_id) ?? "");
	const values = args.map(fromHrana);
	if (!prepared.reader) {
		const { changes, lastInsertRowid } = prepared.run(...values);
		return {
			cols: [],
			rows: [],
			affected_row_count: changes,
			last_insert_rowid: String(lastInsertRowid),
		};
	}
	const rows = prepared.raw(true).all(...values) as unknown[][];
	return {
		cols: prepared.columns().map(({ name, type }) => ({ name, decltype: type })),
		rows: rows.map((row) => row.map(toHrana)),
		affected_row_count: 0,
		last_insert_rowid: null,
	};
}

function fromHrana(value: HranaValue): unknown {
	if (value.type === "null") return null;
	return value.type === "integer" ? Number(value.value) : value.value;
}

function toHrana(value: unknown): HranaValue {
	if (value === null) return { type: "null" };
	if (typeof value === "number")
		return Number.isInteger(value) ? { type: "integer", value: String(value) } : { type: "float", value };
	return { type: "text", value: String(value) };
}
