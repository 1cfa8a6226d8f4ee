/** A database that cannot be opened, or can no longer be written: one sentence for whoever runs it. */
export class Unopened extends Error {
	override readonly name = "Unopened";
}

/** A change that could not be kept, for a reason outside of it; what was stored before is untouched. */
export class Unwritten extends Error {
	override readonly name = "Unwritten";
}

interface Reason {
	/** What the driver says, by code or in its words. */
	readonly sign: RegExp;
	readonly sentence: string;
}

const UNWRITABLE: readonly Reason[] = [
	{ sign: /SQLITE_FULL|disk is full|ENOSPC/i, sentence: "the disk is full; make room, then save again" },
	{
		sign: /SQLITE_READONLY|readonly database|read-only/i,
		sentence: "the database may only be read; let its file and folder be written, then save again",
	},
	{
		sign: /SQLITE_BUSY|SQLITE_LOCKED|database is locked/i,
		sentence: "another program has held the database too long; end it, then save again",
	},
	{
		sign: /SQLITE_IOERR|disk I\/O error/i,
		sentence: "the disk does not answer; look at it, then save again",
	},
	{
		sign: /fetch failed|ECONN\w+|ENOTFOUND|EAI_AGAIN|ETIMEDOUT|SERVER_ERROR|TimeoutError|timed? ?out|SocketError/i,
		sentence: "the database server does not answer; see whether it runs, then save again",
	},
];

const UNOPENABLE: readonly Reason[] = [
	{
		sign: /SQLITE_NOTADB|not a database|SQLITE_CORRUPT|malformed/i,
		sentence: "is damaged or is no database; bring a copy back with `npm run restore`. Nothing was changed.",
	},
	{
		sign: /SQLITE_READONLY|readonly database|EACCES|EROFS/i,
		sentence: "may only be read; let its file and folder be written. Nothing was changed.",
	},
	{
		sign: /SQLITE_CANTOPEN|unable to open/i,
		sentence: "cannot be opened; see whether its folder exists and may be written.",
	},
	{
		sign: /SQLITE_BUSY|SQLITE_LOCKED|database is locked/i,
		sentence: "is held by another program; end it, then start again.",
	},
	{ sign: /SQLITE_FULL|disk is full|ENOSPC/i, sentence: "lies on a full disk; make room, then start again." },
	{
		sign: /401|403|unauthori[sz]ed|forbidden/i,
		sentence: "refuses the token; see DATABASE_AUTH_TOKEN.",
	},
	{
		sign: /fetch failed|ECONN\w+|ENOTFOUND|EAI_AGAIN|ETIMEDOUT|TimeoutError|timed? ?out|SERVER_ERROR|SocketError/i,
		sentence: "does not answer; see whether the server runs and the address is right.",
	},
];

/**
 * What the driver, the disk or the network says of an error, in one line: each has a code.
 * What has none may carry somebody's own text, and is not read.
 */
function saidBy(error: unknown): string {
	const said: string[] = [];
	for (let cause = error; cause instanceof Error && said.length < 8; cause = cause.cause) {
		said.push("code" in cause ? `${cause.name} ${cause.code} ${cause.message}` : "");
	}
	return said.join(" ");
}

/** Whether another program holds the database, which passes. */
export function isBusy(error: unknown): boolean {
	return /SQLITE_BUSY|SQLITE_LOCKED|database is locked/.test(saidBy(error));
}

/** Why a change was not kept, if the reason lies outside of it; the error itself otherwise. */
export function whyUnwritten(error: unknown): unknown {
	const reason = UNWRITABLE.find(({ sign }) => sign.test(saidBy(error)));
	return reason ? new Unwritten(reason.sentence, { cause: error }) : error;
}

/** Why a database was not opened, with where it is and what to do; the error itself when it is not known. */
export function whyUnopened(error: unknown, url: string): unknown {
	const reason = UNOPENABLE.find(({ sign }) => sign.test(saidBy(error)));
	return reason ? new Unopened(`DATABASE_URL: ${url} ${reason.sentence}`, { cause: error }) : error;
}
