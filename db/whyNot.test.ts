import { LibsqlError } from "@libsql/client";
import { describe, expect, it } from "vitest";
import { refuse } from "#core/check";
import { isBusy, Unopened, Unwritten, whyUnopened, whyUnwritten } from "./whyNot.ts";

/** As the query builder hands on what the driver said. */
function asQueried(said: Error): Error {
	return new Error("Failed query: insert into x params: read-only, disk is full", { cause: said });
}

describe("why a change was not kept", () => {
	it.each([
		["SQLITE_FULL", "the disk is full"],
		["SQLITE_READONLY", "may only be read"],
		["SQLITE_BUSY", "another program"],
		["SQLITE_IOERR_WRITE", "the disk does not answer"],
	])("%s says what to do", (code, words) => {
		const why = whyUnwritten(asQueried(new LibsqlError("no", code)));
		expect(why).toBeInstanceOf(Unwritten);
		expect((why as Error).message).toContain(words);
	});

	it("a server that cannot be reached is one that does not answer", () => {
		const refused = Object.assign(new Error("connect ECONNREFUSED 127.0.0.1:1"), { code: "ECONNREFUSED" });
		expect(whyUnwritten(new TypeError("fetch failed", { cause: refused }))).toBeInstanceOf(Unwritten);
	});

	it("somebody's own text is no reason", () => {
		const refusal = refuse("name", "“database is locked, disk is full” is taken");
		expect(whyUnwritten(refusal)).toBe(refusal);
		const queried = asQueried(new LibsqlError("UNIQUE constraint failed", "SQLITE_CONSTRAINT"));
		expect(whyUnwritten(queried)).toBe(queried);
		expect(isBusy(refusal)).toBe(false);
	});
});

describe("why a database was not opened", () => {
	it.each([
		["SQLITE_NOTADB", "is damaged or is no database"],
		["SQLITE_CANTOPEN", "cannot be opened"],
		["SQLITE_READONLY", "may only be read"],
	])("%s names the address and what to do", (code, words) => {
		const why = whyUnopened(new LibsqlError("no", code), "file:/srv/house.db");
		expect(why).toBeInstanceOf(Unopened);
		expect((why as Error).message).toContain("file:/srv/house.db");
		expect((why as Error).message).toContain(words);
	});
});
