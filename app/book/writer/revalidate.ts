import type { ShouldRevalidateFunction } from "react-router";
import { revalidateWhenSent as whenSent } from "../../ui/forms/offline.ts";

/** A draft that was kept is on the page already; asking for it again would only slow typing. */
export const revalidateWhenSent: ShouldRevalidateFunction = (given) =>
	given.formData?.get("intent") === "keep" ? false : whenSent(given);
