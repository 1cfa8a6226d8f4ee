import { type Static, Type } from "@sinclair/typebox";
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
	paper: oneOf(["A4", "Letter"] as const, { default: "A4" }),
});
export type Preferences = Static<typeof Preferences>;

const YEAR_S = 365 * 24 * 3600;

const cookie = createCookie("preferences", {
	httpOnly: true,
	sameSite: "lax",
	path: "/",
	maxAge: YEAR_S,
});

const NONE: Preferences = checked(Preferences, {});

/** The reader's choices; a cookie that does not hold counts as none. */
export async function readPreferences(header: string | null): Promise<Preferences> {
	try {
		return checked(Preferences, (await cookie.parse(header)) ?? {});
	} catch {
		return NONE;
	}
}

/** The `Set-Cookie` header that keeps them; over a closed line it is sent on closed lines alone. */
export function keepPreferences(preferences: Preferences, { url }: Pick<Request, "url">): Promise<string> {
	return cookie.serialize(preferences, { secure: url.startsWith("https:") });
}
