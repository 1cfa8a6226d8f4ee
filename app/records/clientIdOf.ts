import { nanoid } from "nanoid";
import type { Typed } from "../ui/forms/form.ts";

/** What a form calls itself, so that it is written once however often it is sent; a new name where it has none. */
export function clientIdOf({ clientId = "" }: Typed): string {
	return /^[\w-]{8,40}$/.test(clientId) ? clientId : nanoid();
}
