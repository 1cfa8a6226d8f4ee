import { data } from "react-router";

/** A number in an address. @throws 404 where it is none */
export function numberIn(text: string | undefined): number {
	if (!/^[1-9]\d{0,8}$/.test(text ?? "")) throw data({ missing: "lot" }, { status: 404 });
	return Number(text);
}
