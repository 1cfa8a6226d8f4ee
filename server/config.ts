import { mkdirSync } from "node:fs";
import { resolve } from "node:path";
import { type Static, Type } from "@sinclair/typebox";
import { checked, oneOf, Refusal } from "#core/check";

/** What the environment may set. Everything has a default that works on one machine. */
const Environment = Type.Object({
	PORT: Type.Integer({ minimum: 1, maximum: 65_535, allowed: "a port from 1 to 65535" }),
	HOST: Type.String({ minLength: 1, maxLength: 253, allowed: "an address or host name" }),
	DATABASE_URL: Type.String({
		pattern: "^(file:|libsql:|https?:|wss?:).+",
		allowed: "file:PATH, or the libsql:, http(s): or ws(s): address of a libSQL server",
	}),
	DATABASE_AUTH_TOKEN: Type.Optional(Type.String({ minLength: 1 })),
	WT_DATA: Type.String({ minLength: 1, allowed: "a folder" }),
	WT_ORIGINS: Type.Array(
		Type.String({
			pattern: "^https?://(?:\\[[0-9a-fA-F:.]+\\]|[A-Za-z0-9._-]+)(?::\\d{1,5})?$",
			allowed: "addresses such as https://kitchen.example, apart by commas",
		}),
	),
	WT_PRINTER: Type.String({
		pattern: "^https?://[A-Za-z0-9.:\\[\\]_-]+$",
		allowed: "the address of a label printer, such as http://127.0.0.1:3142",
	}),
	WT_COPIES_EVERY_H: Type.Integer({ minimum: 0, maximum: 8760, allowed: "hours from 0 (never) to 8760" }),
	WT_COPIES_KEPT: Type.Integer({ minimum: 1, maximum: 1000, allowed: "a number of copies from 1 to 1000" }),
	LOG_LEVEL: oneOf(["fatal", "error", "warn", "info", "debug", "trace", "silent"] as const),
});

export type Config = Static<typeof Environment>;

/**
 * The environment, checked. It stops the start with a message for each variable that
 * does not hold, and makes the data folder.
 *
 * @throws {Refusal} naming the variable and what is allowed
 */
export function readConfig(environment: NodeJS.ProcessEnv): Config {
	const dataFolder = resolve(environment.WT_DATA || "data/house");
	const config = checked(Environment, {
		PORT: numeric(environment.PORT || "3140"),
		HOST: environment.HOST || "127.0.0.1",
		DATABASE_URL: environment.DATABASE_URL || `file:${dataFolder}/wide-table.db`,
		...(environment.DATABASE_AUTH_TOKEN ? { DATABASE_AUTH_TOKEN: environment.DATABASE_AUTH_TOKEN } : {}),
		WT_DATA: dataFolder,
		WT_ORIGINS: (environment.WT_ORIGINS ?? "")
			.split(",")
			.map((origin) => origin.trim().replace(/\/$/, ""))
			.filter((origin) => origin !== ""),
		WT_PRINTER: (environment.WT_PRINTER || "http://127.0.0.1:3142").replace(/\/$/, ""),
		WT_COPIES_EVERY_H: numeric(environment.WT_COPIES_EVERY_H || "24"),
		WT_COPIES_KEPT: numeric(environment.WT_COPIES_KEPT || "14"),
		LOG_LEVEL: environment.LOG_LEVEL || "info",
	});
	makeFolder(config.WT_DATA);
	return config;
}

/** Folder of the copies of a house's database. */
export function copiesFolder({ WT_DATA }: Pick<Config, "WT_DATA">): string {
	return resolve(WT_DATA, "backups");
}

function numeric(text: string): number | string {
	return /^\d+$/.test(text) ? Number(text) : text;
}

function makeFolder(folder: string): void {
	try {
		mkdirSync(folder, { recursive: true });
	} catch (error) {
		throw new Refusal([
			{
				field: "WT_DATA",
				message: `${folder} cannot be made (${error}); a folder that can be written is needed`,
			},
		]);
	}
}
