import { type Static, Type } from "@sinclair/typebox";
import { pick } from "es-toolkit";
import { createCookie } from "react-router";
import { checked, oneOf } from "#core/check";

/** What one reader has chosen on this device. Units left out are the house's. */
export const Preferences = Type.Object({
	who: Type.Optional(
		Type.String({ minLength: 1, maxLength: 40, pattern: "\\S", allowed: "a name of 1 to 40 characters" }),
	),
	units: Type.Optional(oneOf(["metric", "us"] as const)),
	light: oneOf(["bench", "evening"] as const, { default: "bench" }),
	shortKeys: Type.Boolean({ default: true }),
	clockHours: oneOf(["24", "12"] as const, { default: "24" }),
	paper: oneOf(["A4", "Letter"] as const, { default: "A4" }),
});
export type Preferences = Static<typeof Preferences>;

/** Who is written down when nobody has given a name. */
export const NOBODY_NAMED = "the desk";

const YEAR_S = 365 * 24 * 3600;

const cookie = createCookie("preferences", {
	httpOnly: true,
	sameSite: "lax",
	path: "/",
	maxAge: YEAR_S,
});

/** Of somebody who has chosen nothing yet. */
export const NO_PREFERENCES: Preferences = checked(Preferences, {});

/** The reader's choices; a cookie that does not hold counts as none. */
export async function readPreferences(header: string | null): Promise<Preferences> {
	try {
		return checked(Preferences, (await cookie.parse(header)) ?? {});
	} catch {
		return NO_PREFERENCES;
	}
}

const KNOWN = Object.keys(Preferences.properties) as (keyof Preferences)[];

/**
 * The `Set-Cookie` header that keeps them; over a closed line it is sent on closed lines alone. What
 * else was sent along is not kept: a browser would send it back with every request, whatever its size.
 */
export function keepPreferences(preferences: Preferences, { url }: Pick<Request, "url">): Promise<string> {
	return cookie.serialize(pick(preferences, KNOWN), { secure: url.startsWith("https:") });
}
